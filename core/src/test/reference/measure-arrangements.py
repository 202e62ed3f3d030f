"""Measures arrangements from their MIDI files, style by style: parts, returns, drums, seeds, entries.

Reads a folder of pairs NAME.mid and NAME.json; the JSON says which section lies where, which tracks are drums and
marks, and how tempo, key, form and chords were written down. Notes are read from the MIDI file by a reader that shares
nothing with the application. Prints one JSON object with the figures of every style.
"""
import itertools
import json
import pathlib
import statistics
import sys
from collections import defaultdict

from midi_tracks import read_tracks

BAR = 3840
STEP = 240
EARLY = 120
STRAY = 14
ROLLED = 180
CRASHES = {49, 52, 55, 57}


class Draft:
    def __init__(self, path):
        self.facts = json.loads(path.read_text())
        self.tracks = {n: t for n, t in read_tracks(path.with_suffix(".mid")).items() if t}
        self.sections = self.facts["sections"]

    def inside(self, name, start, end):
        return [n for n in self.tracks.get(name, []) if start - EARLY <= n[0] < end - EARLY]

    def content(self, section):
        """What each sounding track plays in a section, to the step."""
        out = {}
        for name in self.tracks:
            notes = self.inside(name, section["start"], section["end"])
            if notes and name not in self.facts["marks"]:
                out[name] = tuple(sorted((round((n[0] - section["start"]) / STEP), n[2]) for n in notes))
        return out

    def hooks(self):
        return [s for s in self.sections if s["kind"] == "hook"]

    def drum_bars(self, section):
        bars = min(16, (section["end"] - section["start"]) // BAR)
        out = set()
        for bar in range(bars):
            start = section["start"] + bar * BAR
            out.add(tuple(sorted((round((n[0] - start) / STEP), n[2])
                                 for name in self.facts["drums"] for n in self.inside(name, start, start + BAR))))
        return len(out) / bars * 16

    def hits(self, section):
        """Drum strokes of the first eight bars, as places in them."""
        end = min(section["end"], section["start"] + 8 * BAR)
        return {(round((n[0] - section["start"]) / STEP), n[2])
                for name in self.facts["drums"] for n in self.inside(name, section["start"], end)}

    def same_returns(self):
        seen = defaultdict(list)
        same = 0
        for section in self.sections:
            content = self.content(section)
            same += content in seen[section["kind"]]
            seen[section["kind"]].append(content)
        return same

    def landed(self, section):
        at = section["start"]
        marks = any(abs(n[0] - at) <= EARLY for name in self.facts["marks"] for n in self.tracks.get(name, []))
        crash = any(abs(n[0] - at) <= EARLY and n[2] in CRASHES
                    for name in self.facts["drums"] for n in self.tracks.get(name, []))
        return marks or crash or section["entry"] == "gap"

    def lead_under_chords(self):
        """Notes of the lead below the highest note the chords hold where it begins; and how many there are."""
        chords = self.tracks.get(self.facts["keys"], [])
        under = count = 0
        for start, _, key, _ in self.tracks.get(self.facts["lead"], []):
            held = [c[2] for c in chords if c[0] <= start + EARLY and c[1] > start + EARLY]
            if held:
                count += 1
                under += key < max(held)
        return under, count

    def unison_below(self):
        """Notes of the sub that the bass begins with at the same pitch; and how many there are."""
        bass = {(round(n[0] / STEP), n[2]) for n in self.tracks.get(self.facts["bass"], [])}
        sub = self.tracks.get(self.facts["sub"], [])
        return sum((round(n[0] / STEP), n[2]) in bass for n in sub), len(sub)

    def timing(self):
        """Squares of how far drum strokes stand from where strokes of their kind usually stand, in ms; rolls apart."""
        places = defaultdict(list)
        for name in self.facts["drums"]:
            strokes = defaultdict(list)
            for start, _, key, _ in self.tracks.get(name, []):
                strokes[key].append(start)
            for key, starts in strokes.items():
                for before, start, after in zip([-BAR] + starts, starts, starts[1:] + [starts[-1] + BAR]):
                    if min(start - before, after - start) > ROLLED:
                        step = round(start / STEP)
                        places[name, key, step % 2].append(start - step * STEP)
        out = []
        for late in places.values():
            middle = statistics.median(late)
            out += [((x - middle) * self.facts["tick"]) ** 2 for x in late
                    if abs(x - middle) * self.facts["tick"] <= STRAY]
        return out

    def announced(self, section):
        """A mark, a fill or a hole in the drums in the two bars before, against the bars before those."""
        at = section["start"]
        marks = any(at - 2 * BAR <= n[0] < at - EARLY or n[0] < at <= n[1]
                    for name in self.facts["marks"] for n in self.tracks.get(name, []))
        bars = []
        for start in (at - 2 * BAR, at - BAR):
            bars.append(tuple(sorted((round((n[0] - start) / STEP), n[2])
                                     for name in self.facts["drums"] for n in self.inside(name, start, start + BAR))))
        return marks or bars[0] != bars[1]


def measure(drafts):
    out = defaultdict(float)
    out["parts"] = min(len(d.tracks) for d in drafts)
    out["sounding in the last hook"] = min(len(d.content(d.hooks()[-1])) for d in drafts)
    changed = []
    for d in drafts:
        hooks = d.hooks()
        if len(hooks) > 1:
            first, last = d.content(hooks[0]), d.content(hooks[-1])
            changed.append(sum(1 for name, notes in last.items() if first.get(name) != notes))
    out["unlike the first hook"] = min(changed) if changed else 0
    out["sections that return alike"] = sum(d.same_returns() for d in drafts)
    out["drum bars"] = min(d.drum_bars(d.hooks()[-1]) for d in drafts)
    for what in ("tempo", "key", "form", "progression"):
        out[what + "s"] = len({d.facts[what] for d in drafts})
    apart = []
    for one, two in itertools.combinations(drafts, 2):
        a, b = one.hits(one.hooks()[0]), two.hits(two.hooks()[0])
        apart.append(1 - len(a & b) / max(1, len(a | b)))
    out["groove distance"] = statistics.median(apart) if apart else 0
    entries = [(d, s) for d in drafts for s in d.hooks() if s["start"] > 0]
    out["announced"] = sum(d.announced(s) for d, s in entries) / max(1, len(entries))
    out["landed"] = sum(d.landed(s) for d, s in entries) / max(1, len(entries))
    under = [d.lead_under_chords() for d in drafts]
    out["lead under the chords"] = sum(u for u, _ in under) / max(1, sum(n for _, n in under))
    unison = [d.unison_below() for d in drafts]
    out["unison below"] = sum(u for u, _ in unison) / max(1, sum(n for _, n in unison))
    out["timing"] = statistics.fmean(itertools.chain.from_iterable(d.timing() for d in drafts)) ** 0.5
    return out


def main(folder):
    styles = defaultdict(list)
    for path in sorted(pathlib.Path(folder).glob("*.json")):
        draft = Draft(path)
        styles[draft.facts["style"]].append(draft)
    json.dump({style: measure(drafts) for style, drafts in styles.items()}, sys.stdout)


if __name__ == "__main__":
    main(sys.argv[1])
