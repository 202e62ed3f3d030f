package westtide.song.edit.part;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import westtide.rhythm.Ticks;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordArticulation;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Notation;
import westtide.song.chord.Progression;
import westtide.song.edit.Edit;
import westtide.theory.Chord;
import westtide.theory.voicing.ChordMember;

/**
 * Edits of the chords of one progression. Chords are counted from 0.
 *
 * @param row the progression's name
 */
public record ChordEdits(String row) {
  /**
   * Replaces all chords by those of a typed line. Where a chord stays in its place, what was chosen
   * for it by hand (spread, notes, strum) stays too.
   */
  public Edit line(List<ChordSpan> typed) {
    return of("Type the chords of the " + row, p -> p.withSpans(kept(p.spans(), typed)));
  }

  /**
   * Lets the chord parts rest over a chord, by its place, while the bass goes on; or play again.
   */
  public Edit chordsRest(int index, boolean rest) {
    Set<ChordMember> all =
        rest ? EnumSet.allOf(ChordMember.class) : EnumSet.noneOf(ChordMember.class);
    return Edit.of(
        rest ? "Rest the chords, bass goes on" : "Play the chord again",
        song -> {
          Song out = song;
          for (Part part : song.parts(Role.CHORDS)) {
            out = new ChordPartEdits(part.id()).without(row, index, all).apply(out);
          }
          return out;
        });
  }

  private static List<ChordSpan> kept(List<ChordSpan> old, List<ChordSpan> typed) {
    List<ChordSpan> out = new ArrayList<>(typed);
    for (int i = 0; i < Math.min(old.size(), typed.size()); i++) {
      ChordArticulation before = old.get(i).articulation();
      if (old.get(i).chord().equals(typed.get(i).chord())) {
        boolean sameTurn = before.inversion().equals(typed.get(i).articulation().inversion());
        out.set(
            i,
            typed
                .get(i)
                .withArticulation(
                    m ->
                        m.withKind(before.kind())
                            .withStrum(before.strum())
                            .withOwn(sameTurn ? before.own() : Optional.empty())));
      }
    }
    return out;
  }

  /** Puts other chords in their place, under a name for the history. */
  public Edit chords(String name, List<ChordSpan> spans) {
    return of(name, p -> p.withSpans(spans));
  }

  /** Replaces one chord; its length stays. */
  public Edit replace(int index, Chord chord) {
    return spans(
        "Replace a chord by " + chord, list -> list.set(index, list.get(index).withChord(chord)));
  }

  /** Puts a chord in front of the one at an index; the number of chords adds at the end. */
  public Edit insert(int index, ChordSpan span) {
    return spans("Insert " + span.chord(), list -> list.add(index, span));
  }

  /** Adds a copy of a chord behind it. */
  public Edit duplicate(int index) {
    return spans("Duplicate a chord", list -> list.add(index + 1, list.get(index)));
  }

  /** Takes a chord out; the last one of a progression stays. */
  public Edit remove(int index) {
    return spans(
        "Delete a chord",
        list -> {
          if (list.size() > 1) {
            list.remove(index);
          }
        });
  }

  /** Moves a chord to another place in the row. */
  public Edit move(int from, int to) {
    return spans("Move a chord", list -> list.add(to, list.remove(from)));
  }

  /**
   * Ends a chord earlier or later; the chord behind it gives or takes the time, behind the last one
   * the row grows or shrinks. Every chord keeps a step at least; dragging on is one edit.
   */
  public Edit end(int index, int ticks) {
    return spans("Change a chord's length", list -> moveEnd(list, index, ticks));
  }

  private static void moveEnd(List<ChordSpan> list, int index, int ticks) {
    ChordSpan here = list.get(index);
    int by = Math.max(ticks, Ticks.PER_STEP - here.ticks());
    if (index + 1 < list.size()) {
      ChordSpan next = list.get(index + 1);
      by = Math.min(by, Math.max(0, next.ticks() - Ticks.PER_STEP));
      list.set(index + 1, next.withTicks(next.ticks() - by));
    }
    list.set(index, here.withTicks(here.ticks() + by));
  }

  /** Lets another chord take the end of a chord: a passing chord on the way to the next. */
  public Edit passing(int index, Chord chord, int ticks) {
    return spans(
        "Pass through " + chord,
        list -> {
          ChordSpan here = list.get(index);
          int taken = Math.max(1, Math.min(ticks, here.ticks() / 2));
          list.set(index, here.withTicks(here.ticks() - taken));
          list.add(index + 1, ChordSpan.of(chord, taken));
        });
  }

  /** Changes how one chord is played; the same change repeated in one go is one edit. */
  public Edit articulation(String name, int index, UnaryOperator<ChordArticulation> change) {
    return spans(name, list -> list.set(index, list.get(index).withArticulation(change)));
  }

  /** Changes how every chord of the row is played. */
  public Edit everyArticulation(String name, UnaryOperator<ChordArticulation> change) {
    return of(
        name,
        p -> p.withSpans(p.spans().stream().map(span -> span.withArticulation(change)).toList()));
  }

  /** Strikes the row in a rhythm of its own; empty leaves it to the parts. */
  public Edit rhythm(Optional<ChordRhythm> rhythm) {
    return of("Change the rhythm of the " + row, p -> p.withRhythm(rhythm));
  }

  /** Plays the row octaves higher or lower, held inside −2 to 2. */
  public Edit octave(int octaves) {
    int held = Math.max(-2, Math.min(2, octaves));
    return of("Change the register of the " + row, p -> p.withOctave(held));
  }

  /** Writes the row in names or in numerals. */
  public Edit notation(Notation notation) {
    return of(
        notation == Notation.NAMES ? "Write chord names" : "Write numerals",
        p -> p.withNotation(notation));
  }

  private Edit spans(String name, Consumer<List<ChordSpan>> change) {
    return of(
        name,
        p -> {
          List<ChordSpan> list = new ArrayList<>(p.spans());
          change.accept(list);
          return p.withSpans(list);
        });
  }

  private Edit of(String name, UnaryOperator<Progression> change) {
    return Edit.of(name, song -> song.withProgression(change.apply(song.progression(row))));
  }
}
