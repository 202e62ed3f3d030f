"""Writes the figures of one run of bench/run as Markdown."""
import json
import os
import platform
import subprocess
import sys

folder = sys.argv[1]


def length(song):
    """Seconds of a rendered song, from its WAV: 24 bit stereo at 48 kHz after a header of 44 bytes."""
    return (os.path.getsize(os.path.join(folder, song + "-ours.wav")) - 44) / (6 * 48000)


with open(os.path.join(folder, "jmh.json"), encoding="utf-8") as file:
    runs = json.load(file)
processes = {}
with open(os.path.join(folder, "processes.txt"), encoding="utf-8") as file:
    for line in file:
        song, fluid, ours = line.split()
        processes[song] = (int(fluid), int(ours))
with open(os.path.join(folder, "blocks.txt"), encoding="utf-8") as file:
    blocks = [line.strip().split("\t") for line in file]

with open(os.path.join(folder, "stolen.txt"), encoding="utf-8") as file:
    before, after = ([int(word) for word in line.split()] for line in file)
stolen = (after[0] - before[0]) / (after[1] - before[1])

drafts = {}
with open(os.path.join(folder, "drafts.txt"), encoding="utf-8") as file:
    for line in file:
        style, took = line.split()
        drafts[style] = int(took)

windows = {}
with open(os.path.join(folder, "window.txt"), encoding="utf-8") as file:
    for line in file:
        row = json.loads(line)
        windows[row["song"]] = row


def medians(name, percentile="50.0"):
    return {
        run.get("params", {}).get("song", ""): run["primaryMetric"]["scorePercentiles"][percentile]
        for run in runs
        if run["benchmark"].endswith(name)
    }


def model():
    with open("/proc/cpuinfo", encoding="utf-8") as cpus:
        names = [line.split(":")[1].strip() for line in cpus if line.startswith("model name")]
    return f"{len(names)} × {names[0]}" if names else platform.processor()


java = subprocess.run(["java", "-version"], capture_output=True, text=True, check=True).stderr.splitlines()[0]
print("# Benchmarks")
print()
print("Made by `bench/run`, which measures everything in one run on one machine. What counts are the ratios. Times are JMH")
print("medians of single calls, so that moments in which the machine is taken away do not count.")
print()
print(f"Machine: {model()}; {java}; {platform.system()} {platform.release()}.")
print(f"The host took {100 * stolen:.1f} % of the processors' time away meanwhile.")
print()
print("## Rendering a whole song at 48 kHz")
print()
print("Baseline: Debian's `fluidsynth` with `timgm6mb-soundfont` (room and chorus as it comes) rendering the MIDI exported")
print("from the same song, the whole process, best of five. Ours, on all processors: JMH, best of 15 single shots after 8 to")
print("warm up, from the score through all tables, mix with all effects and limiter. *Whole process* is `./west-tide export")
print("--wav`, best of five taken in turn with the baseline's: starting the JVM, reading, rendering cold and writing 24 bit.")
print()
print("| song | length s | baseline ms | × real time | ours ms | × real time | faster than the baseline | whole process ms | faster |")
print("|---|---|---|---|---|---|---|---|---|")
for song, mid in medians("RenderBenchmark.mix", "0.0").items():
    seconds = length(song)
    fluid, ours = processes[song]
    print(
        f"| {song} | {seconds:.0f} | {fluid} | {1000 * seconds / fluid:.0f} | {mid:.0f} | {1000 * seconds / mid:.0f} "
        f"| {fluid / mid:.1f} × | {ours} | {fluid / ours:.1f} × |"
    )
print()
print("## A draft of a style")
print()
print("A whole arrangement with its levels set. Baselines: 1500 ms for the whole process, `./west-tide new`, best of five;")
print("500 ms once warm, as in the window (JMH, median over the first hundred seeds).")
print()
print("| style | whole process ms | of the baseline | warm ms | of the baseline |")
print("|---|---|---|---|---|")
for style, mid in medians("DraftBenchmark.draft").items():
    took = drafts[style]
    print(f"| {style} | {took} | {took / 1500:.2f} | {mid / 1000:.0f} | {mid / 500000:.2f} |")
print()
print("## What an edit costs before it is heard")
print()
print("Baseline: the length of one block of sound, 256 samples at 48 kHz, 5333 µs.")
print()
print("| song | song to score µs | of a block | score made ready µs | of a block |")
print("|---|---|---|---|---|")
ready = medians("ScoreBenchmark.prepare")
for song, mid in medians("ScoreBenchmark.score").items():
    print(f"| {song} | {mid:.0f} | {mid / 5333:.2f} | {ready[song]:.0f} | {ready[song] / 5333:.2f} |")
print()
print("## A busy groove")
print()
print("64 bars of 16 lanes, half of all steps struck, every fourth hit a roll, with swing, accents and varied hits, from")
print("song to score. Baseline: 5 ms.")
print()
print("| song to score µs | of the baseline |")
print("|---|---|")
for mid in medians("GrooveBenchmark.score").values():
    print(f"| {mid:.0f} | {mid / 5000:.2f} |")

print()
print("## A loop found out and made to fit")
print()
print("Some 21 s of two sides. Baseline: both sides read a tenth faster, measured here too; a loop is found out within 1000 ms and")
print("stretched within 300 ms.")
print()
print("| what | ms | of the baseline |")
print("|---|---|---|")
base = list(medians("FoundBenchmark.repitched").values())[0]
for what, name in [
    ("read a tenth faster", "repitched"),
    ("found out: beginning, tempo, bars, key, onsets", "foundOut"),
    ("stretched, pitch kept, tones", "stretched"),
    ("the same, drums", "spliced"),
]:
    mid = list(medians("FoundBenchmark." + name).values())[0]
    print(f"| {what} | {mid:.0f} | {mid / base:.2f} |")
print()
print("## A late change of tempo or key")
print()
print("The edit, the score and all soundings of the written music. Baseline: 50 ms, what the window may wait for at most.")
print()
print("| song | another tempo µs | of the baseline | another key and mode µs | of the baseline |")
print("|---|---|---|---|---|")
keys = medians("EditBenchmark.key")
for song, mid in medians("EditBenchmark.tempo").items():
    print(f"| {song} | {mid:.0f} | {mid / 50000:.2f} | {keys[song]:.0f} | {keys[song] / 50000:.2f} |")
print()
print("## An ensemble: 16 parts, 150 bars")
print()
notes = windows["16 parts, 150 bars"]["notes"]
print(f"A song of {notes} notes, grown from a draft. Baseline: what the window may take in the middle,")
print("10 ms for a score, 20 ms for all findings of all stages; a score after one hit more, made from the one before it, is")
print("beside the whole score.")
print()
score = medians("EnsembleBenchmark.score")[""]
found = medians("EnsembleBenchmark.findings")[""]
edit = medians("EnsembleBenchmark.edit")[""]
print("| song to score µs | of the baseline | all findings µs | of the baseline | score after one hit µs | of the whole score |")
print("|---|---|---|---|---|---|")
print(f"| {score:.0f} | {score / 10000:.2f} | {found:.0f} | {found / 20000:.2f} | {edit:.0f} | {edit / score:.2f} |")
print()
form = medians("EnsembleBenchmark.formEdit")[""]
energy = medians("EnsembleBenchmark.energy")[""]
print("The same with every section announced, after a section became longer, which reaches every part. Baseline: 15 ms for")
print("the score, 16 ms, one picture at 60 a second, for the energy the tide chart draws.")
print()
print("| score after a form edit µs | of the baseline | energy of all bars µs | of the baseline |")
print("|---|---|---|---|")
print(f"| {form:.0f} | {form / 15000:.2f} | {energy:.0f} | {energy / 16000:.2f} |")
print()
print("## The window's own thread")
print()
print("The edit, the score, the soundings, drawing, style sheets and layout, in the real window at 1280 × 800 in the room")
print("where such an edit is made; the middle one of 80 after 60 to warm up (of 5 after 2 for the largest song, whose")
print("baseline is 4 s to open and 500 ms an edit). Baseline: 16 ms, one picture at 60 a second.")
print()
print("| song | notes | opened ms | placed hit ms | of the baseline | moved note ms | of the baseline | turned tank ms | of the baseline |")
print("|---|---|---|---|---|---|---|---|---|")
for name, row in windows.items():
    base = 500000 if row["notes"] > 100000 else 16000
    cells = " | ".join(f"{row[key] / 1000:.1f} | {row[key] / base:.2f}" for key in ("hit", "note", "tank"))
    print(f"| {name} | {row['notes']} | {row['opened'] / 1000:.0f} | {cells} |")
print()
print("## The audio thread while everything is edited")
print()
print("The busiest demo, and the same grown to 16 parts, looped with the metronome on, ten edits a second for 45 s (tempo,")
print("swing, hits, rolls, levels, settings), in real time, with all their effects. Baseline: the length of a block. *Worked* is")
print("the thread's own time, without moments in which the machine was taken away or other threads came first.")
print()
print("| song | block µs | worked 99.9 % µs | of a block | median µs | of a block | 99.9 % µs | of a block | worst µs | of a block |")
print("|---|---|---|---|---|---|---|---|---|---|")
for title, block, median, high, worst, worked in blocks:
    print(
        f"| {title} | {block} | {worked} | {int(worked) / int(block):.2f} | {median} | {int(median) / int(block):.2f} "
        f"| {high} | {int(high) / int(block):.2f} | {worst} | {int(worst) / int(block):.2f} |"
    )
