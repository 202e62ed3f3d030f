"""Measures the mix of one draft: loudness, its range and true peak, lead over chords, sections against the hook, builds.

Reads a folder with mix.f32, lead.f32 and chords.f32 (stereo, 48 kHz, 32-bit floats) and facts.json, which says where
sections lie in seconds. Everything is read by Debian's ffmpeg (EBU R 128); only means are taken here. Prints one JSON
object; what a draft has not got is left out.
"""
import json
import math
import pathlib
import re
import subprocess
import sys

FRAME = 0.1
WINDOW = 0.4
SILENT = -70


def started(path, peak):
    return subprocess.Popen(
        ["ffmpeg", "-hide_banner", "-nostats", "-f", "f32le", "-ar", "48000", "-ac", "2", "-i", str(path),
         "-af", "ebur128=peak=" + peak + ":metadata=1,ametadata=mode=print:key=lavfi.r128.M:file=-", "-f", "null", "-"],
        stdout=subprocess.PIPE, stderr=subprocess.PIPE, text=True)


def read(process):
    """Momentary loudness every 0.1 s, and what ffmpeg sums up."""
    frames, log = process.communicate()
    momentary = [float(m) for m in re.findall(r"r128\.M=(-?[0-9.]+|-?inf|nan)", frames)]
    summed = {name: re.findall(name + r": +(-?[0-9.]+|-inf)", log) for name in ("I", "LRA", "Peak")}
    return momentary, {name: float(values[-1]) for name, values in summed.items() if values}


def mean(levels):
    power = [10 ** (level / 10) for level in levels if level > SILENT]
    return 10 * math.log10(sum(power) / len(power)) if power else SILENT


def within(momentary, start, end):
    """Frames whose whole window lies in a stretch of seconds."""
    return momentary[round((start + WINDOW) / FRAME) - 1:max(0, round(end / FRAME) - 1)]


def lead_over_chords(lead, chords):
    """Where the lead leads: the frames within 10 dB of its own mean."""
    gate = mean(lead) - 10
    both = [(a, b) for a, b in zip(lead, chords) if a > gate and b > SILENT]
    return mean([a for a, _ in both]) - mean([b for _, b in both]) if both else None


def main(folder):
    folder = pathlib.Path(folder)
    facts = json.loads((folder / "facts.json").read_text())
    running = {name: started(folder / (name + ".f32"), "true" if name == "mix" else "none")
               for name in ("mix", "lead", "chords")}
    heard = {name: read(process) for name, process in running.items()}
    mix, summed = heard["mix"]
    kinds = {}
    rises = []
    for section in facts["sections"]:
        frames = within(mix, section["start"], section["end"])
        kinds.setdefault(section["kind"], []).extend(frames)
        if section["word"] == "build":
            two = 2 * facts["bar"]
            rises.append(mean(within(mix, section["end"] - two, section["end"]))
                         - mean(within(mix, section["start"], section["start"] + two)))
    hook = mean(kinds["hook"])
    out = {"loudness": summed["I"], "range": summed["LRA"], "peak": summed["Peak"],
           "lead": lead_over_chords(heard["lead"][0], heard["chords"][0])}
    for kind in ("intro", "verse"):
        if kind in kinds:
            out[kind] = hook - mean(kinds[kind])
    if rises:
        out["rise"] = min(rises)
    json.dump({name: value for name, value in out.items() if value is not None}, sys.stdout)


if __name__ == "__main__":
    main(sys.argv[1])
