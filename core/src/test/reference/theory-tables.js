// Writes the theory tables the tests read, with the general-purpose theory library tonal 6.4.0 (npm).
// Run in this folder: npm install && node theory-tables.js
const fs = require("fs");
const { Chord, Scale, RomanNumeral, Note } = require("tonal");

const out = "../resources/reference/";
const head = "# tonal 6.4.0, written by core/src/test/reference/theory-tables.js\n";
const roots = ["C", "C#", "Db", "D", "Eb", "E", "F", "F#", "Gb", "G", "G#", "Ab", "A", "Bb", "B"];

// Ours on the left, the library's name on the right where it spells the same chord differently.
const chords = {
  "": "M", "m": "m", "min": "m", "-": "m", "dim": "dim", "°": "dim", "aug": "aug", "+": "aug", "5": "5",
  "6": "6", "m6": "m6", "69": "69", "6/9": "69", "m69": "m69",
  "7": "7", "maj7": "maj7", "M7": "maj7", "Δ": "maj7", "m7": "m7", "-7": "m7", "min7": "m7", "mMaj7": "mMaj7",
  "m(maj7)": "mMaj7", "dim7": "dim7", "°7": "dim7", "m7b5": "m7b5", "ø": "m7b5", "ø7": "m7b5", "aug7": "7#5",
  "+7": "7#5", "7#5": "7#5", "7b5": "7b5", "maj7#5": "maj7#5", "maj7b5": "M7b5", "maj7#11": "maj7#11",
  "7#11": "7#11", "6#11": "6#11",
  "9": "9", "maj9": "maj9", "m9": "m9", "mMaj9": "mMaj9", "9#5": "9#5", "9b5": "9b5", "maj9#5": "maj9#5",
  "maj9b5": "M9b5", "9#11": "9#11", "maj9#11": "maj9#11", "m9b5": "m9b5", "69#11": "69#11",
  "11": "11", "m11": "m11", "13": "13", "maj13": "maj13", "m13": "m13", "13b5": "13b5", "13b9": "13b9",
  "13#9": "13#9", "13#11": "13#11", "maj13#11": "maj13#11", "13b9#11": "13b9#11", "13#9#11": "13#9#11",
  "7b9": "7b9", "7#9": "7#9", "7(#9)": "7#9", "7b9#9": "7b9#9", "7b9#11": "7b9#11", "7#9#11": "7#9#11",
  "7#5b9": "7#5b9", "7#5#9": "7#5#9", "7alt": "7alt", "7b9b13": "7b9b13", "7#9b13": "7#9b13",
  "7b9#11b13": "7b9b13#11", "7#9#11b13": "7#9#11b13", "9#11b13": "9#11b13", "9#5#11": "9#5#11",
  "7#5b9#11": "7#5b9#11", "maj7b9": "M7b9", "maj7#9#11": "maj7#9#11",
  "sus4": "sus4", "sus": "sus4", "sus2": "sus2", "sus24": "sus24", "7sus4": "7sus4", "7sus": "7sus4",
  "maj7sus4": "M7sus4", "9sus4": "9sus4", "13sus4": "13sus4", "maj9sus4": "M9sus4", "7b9sus4": "7b9sus4",
  "7sus4b9": "7b9sus4", "7sus4b9b13": "7sus4b9b13", "7#5sus4": "7#5sus4", "maj7#5sus4": "M7#5sus4",
  "maj9#5sus4": "M9#5sus4",
  "add9": "add9", "2": "add9", "madd9": "madd9", "madd4": "madd4", "m7add11": "m7add11", "addb9": "Maddb9",
  "augadd9": "+add9", "augadd#9": "+add#9", "7add13": "7add13", "maj9add6": "M7add13", "7no5": "7no5", "9no5": "9no5",
  "13no5": "13no5", "m#5": "m#5", "(b5)": "Mb5",
};
let text = head;
for (const [ours, theirs] of Object.entries(chords)) {
  for (const root of roots) {
    const chord = Chord.getChord(theirs, root);
    if (chord.empty) throw new Error(theirs);
    text += `${root};${ours};${chord.notes.join(" ")}\n`;
  }
}
fs.writeFileSync(out + "chords.csv", text);

const scales = {
  "major": "major", "minor": "minor", "dorian": "dorian", "phrygian": "phrygian", "lydian": "lydian",
  "mixolydian": "mixolydian", "locrian": "locrian", "harmonic minor": "harmonic minor",
  "melodic minor": "melodic minor", "major pentatonic": "major pentatonic",
  "minor pentatonic": "minor pentatonic", "blues": "minor blues", "hirajoshi": "hirajoshi",
  "in-sen": "in-sen", "iwato": "iwato",
};
text = head;
for (const [ours, theirs] of Object.entries(scales)) {
  for (const root of roots) text += `${root};${ours};${Scale.get(root + " " + theirs).notes.join(" ")}\n`;
}
fs.writeFileSync(out + "scales.csv", text);

// The library counts every numeral in the major scale, so the table is of major keys.
const numerals = {
  I: "I", ii: "II", iii: "III", IV: "IV", V7: "V", vi9: "VI", "vii°7": "VII", bII: "bII", bIIImaj7: "bIII",
  bVI: "bVI", bVII: "bVII", "#IV": "#IV", Imaj7: "I", iv6: "IV", "bvii": "bVII", "#idim7": "#I",
};
text = head;
for (const root of ["C", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B", "Db"]) {
  for (const [ours, theirs] of Object.entries(numerals)) {
    text += `${root};${ours};${Note.transpose(root, RomanNumeral.get(theirs).interval)}\n`;
  }
}
fs.writeFileSync(out + "numerals.csv", text);
