"""Tells a run of the tests as it goes: a line a class, what failed, the slowest ten, and Maven's totals at the end.

Reads what Maven prints. Words: how many classes are expected.
"""

import re
import sys
import time

total = int(sys.argv[1])
began = time.monotonic()
module = ""
took = {}
failed = []
totals = []
verdict = "no verdict of Maven was read"
trace = 0


def say(words):
    print("west-tide: " + words, flush=True)


for line in sys.stdin:
    line = re.sub(r"\033\[[0-9;]*m", "", line).rstrip("\n")
    building = re.search(r"Building West Tide ([a-z ]*[a-z])", line)
    ended = re.search(r"Tests run:.*Time elapsed: ([0-9.]+) s.* -- in (?:.*\.)?(\S+)", line)
    if building:
        module = building[1]
        say(module)
    elif ended:
        name, seconds = ended[2], float(ended[1])
        took[name] = seconds
        if line.startswith("[ERROR]"):
            failed.append(name)
        minutes, rest = divmod(int(time.monotonic() - began), 60)
        say(f"{module}, class {len(took)} of {total}, {minutes} min {rest:02d} s: {name} {seconds:.1f} s")
    elif re.search(r"Tests run: \d+, Failures", line):
        totals.append(line)
    elif line.startswith("[ERROR]"):
        print(line, flush=True)
        trace = 12
    elif "BUILD SUCCESS" in line or "BUILD FAILURE" in line:
        verdict = line
    elif trace and not line.startswith("["):
        print(line, flush=True)
        trace -= 1

say("the slowest:")
for name in sorted(took, key=took.get, reverse=True)[:10]:
    say(f"{took[name]:8.1f} s  {name}")
for name in failed:
    say(f"to see it alone: ./west-tide test {name}")
for line in totals:
    print(line)
print(verdict)
sys.exit(0 if "SUCCESS" in verdict else 1)
