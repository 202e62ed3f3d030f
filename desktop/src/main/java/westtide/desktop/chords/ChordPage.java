package westtide.desktop.chords;

import westtide.desktop.kit.Page;

/** One page of what can be decided below the ladder. */
interface ChordPage extends Page<ChordScene> {}
