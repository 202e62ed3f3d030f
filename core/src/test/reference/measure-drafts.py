"""Measures drafts from their MIDI files: lead rhythms and the low end, style by style.

Reads a folder of pairs NAME.mid and NAME.json; the JSON says which tracks are lead, sub and bass and which
chords the song wrote down. Everything else is read from the MIDI file by the small reader below, which shares
nothing with the application. Prints one JSON object with the figures of every style.
"""
import json
import pathlib
import sys
from collections import defaultdict

from midi_tracks import read_tracks

BAR = 3840
STEP = 240
SMALL = 12


def chord_at(chords, tick):
    for chord in chords:
        if chord["start"] <= tick < chord["end"]:
            return chord
    return None


def step_of(tick):
    return round(tick / STEP)


class Draft:
    def __init__(self, path):
        self.facts = json.loads(path.read_text())
        self.tracks = read_tracks(path.with_suffix(".mid"))

    def notes(self, role):
        return self.tracks.get(self.facts[role], [])

    def hooks(self):
        return [s for s in self.facts["sections"] if s["kind"] == "hook"]

    def chords(self):
        return self.facts["chords"]

    def lead_pattern(self):
        """The lead's line in the first hook."""
        hook = self.hooks()[0]
        start = hook["start"]
        return [(s - start, e - start, k, v) for s, e, k, v in self.notes("lead") if start <= s < hook["end"]]

    def rhythm(self, unit):
        return tuple(sorted({step_of(s) - 32 * unit for s, _, _, _ in self.lead_pattern()
                             if 32 * unit <= step_of(s) < 32 * unit + 32}))


def low_figures(draft, role, out):
    notes = draft.notes(role)
    if not notes:
        return
    starts = [n[0] for n in notes]
    for chord in draft.chords():
        first = [n for n in notes if abs(n[0] - chord["start"]) <= SMALL]
        if first:
            out[role + " chord starts"] += 1
            if first[0][2] % 12 != chord["bass"] and not draft.facts["pedal " + role]:
                out[role + " not on the bass"] += 1
    for one, two in zip(notes, notes[1:]):
        a, b = chord_at(draft.chords(), one[0]), chord_at(draft.chords(), two[0])
        if not a or not b or one[0] // BAR + 1 < two[0] // BAR:
            continue
        leads = a is not b and abs(two[0] - b["start"]) <= SMALL and two[0] - one[0] <= 2 * STEP + SMALL
        if leads and a["bass"] != b["bass"] and not draft.facts["pedal " + role]:
            out[role + " pick-ups"] += 1
            out[role + " pick-ups on the same note"] += one[2] == two[2]
        out[role + " moves"] += 1
        out[role + " leaps past a fifth"] += abs(two[2] - one[2]) > 7
        out[role + " octaves"] += abs(two[2] - one[2]) == 12
    assert len(starts) == len(set(starts)) or role != "sub"


def measure(drafts):
    out = defaultdict(float)
    for draft in drafts:
        for role in ("sub", "bass"):
            low_figures(draft, role, out)
        for hook in draft.hooks():
            inside = [n for n in draft.notes("sub") if hook["start"] <= n[0] < hook["end"]]
            out["hook ticks"] += hook["end"] - hook["start"]
            out["sub ticks"] += covered(inside, hook["end"])
            out["hook four bars"] += (hook["end"] - hook["start"]) / (4 * BAR)
            out["slides"] += sum(1 for a, b in zip(inside, inside[1:]) if a[1] > b[0])
        lead = draft.lead_pattern()
        scale = set(draft.facts["scale"])
        for start, _, key, velocity in draft.notes("lead"):
            chord = chord_at(draft.chords(), start)
            out["lead notes"] += 1
            out["lead outside"] += key % 12 not in scale and not (chord and key % 12 in chord["tones"])
            # a hinted lead stands an octave higher
            out["lead out of range"] += not draft.facts["low"] <= key <= draft.facts["high"] + 12
        if lead:
            velocities = [n[3] for n in lead]
            out["velocity range"] += max(velocities) - min(velocities)
            out["leads"] += 1
            units = [draft.rhythm(i) for i in range(4)]
            out["leads with a changed unit"] += len({u for u in units}) > 1
            mean = [sum(n[2] for n in lead if 32 * i <= step_of(n[0]) < 32 * i + 32) /
                    max(1, sum(1 for n in lead if 32 * i <= step_of(n[0]) < 32 * i + 32)) for i in range(4)]
            out["third unit higher"] += mean[2] > mean[0] + 0.01
    figures = dict(out)
    figures["lead rhythms"] = len({d.rhythm(0) for d in drafts})
    return figures


def covered(notes, end):
    """Ticks in which at least one note sounds."""
    total = until = 0
    for start, stop, _, _ in notes:
        stop = min(stop, end)
        total += max(0, stop - max(start, until))
        until = max(until, stop)
    return total


def main(folder):
    styles = defaultdict(list)
    for path in sorted(pathlib.Path(folder).glob("*.json")):
        draft = Draft(path)
        styles[draft.facts["style"]].append(draft)
    rhythms = {style: {d.rhythm(0) for d in drafts} for style, drafts in styles.items()}
    result = {}
    for style, drafts in styles.items():
        figures = measure(drafts)
        shared = [(len(rhythms[style] & other) / min(len(rhythms[style]), len(other)), name)
                  for name, other in rhythms.items() if name != style]
        figures["shared rhythms"], figures["shared with"] = max(shared)
        figures["drafts"] = len(drafts)
        result[style] = figures
    json.dump(result, sys.stdout)


if __name__ == "__main__":
    main(sys.argv[1])
