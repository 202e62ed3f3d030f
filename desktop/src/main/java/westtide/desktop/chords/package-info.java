/** The second stage: progressions typed as lines, drawn as cards and as voices on a ladder. */
package westtide.desktop.chords;
