// Writes what the general-purpose theory library tonal 6.4.0 (npm) calls sets of notes, lowest first.
// Run in this folder: npm install && node chord-names.js
const fs = require("fs");
const { Chord } = require("tonal");

const out = "../resources/reference/chord-names.csv";
const qualities = ["M", "m", "7", "m7", "maj7", "sus4", "sus2", "dim", "aug", "6", "m6", "9", "m9", "maj9", "7sus4",
  "m7b5", "dim7", "mMaj7", "7b9", "7#9", "7#5", "maj7#5", "69", "m69", "9sus4"];
const roots = ["C", "Eb", "F#", "A"];
let text = "# tonal 6.4.0, written by core/src/test/reference/chord-names.js\n";
for (const quality of qualities) {
  for (const root of roots) {
    const notes = Chord.getChord(quality, root).notes;
    for (let turn = 0; turn < Math.min(2, notes.length); turn++) {
      const turned = notes.slice(turn).concat(notes.slice(0, turn));
      const names = Chord.detect(turned);
      if (names.length > 0) text += `${turned.join(" ")};${names[0]}\n`;
    }
  }
}
fs.writeFileSync(out, text);
