package westtide.song.edit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.theory.Interval;
import westtide.theory.Key;

/**
 * A move of a song to another key. Chords stay on their degrees: those of the old key become the
 * chords of the new one on the same degrees, those with a foreign note keep their sound. Everything
 * else (written notes, voicings, the places where chords and low end stand) moves alike by one
 * distance; where the scale changed under a note, it goes to the same degree of the new one.
 *
 * @param from the key the song stands in
 * @param to the key it goes to
 * @param move which way everything goes
 * @param exact semitones it goes, where they were asked for; a way is then not chosen
 */
public record KeyChange(Key from, Key to, KeyMove move, Optional<Integer> exact) {
  /** A move to a key, some way. */
  public KeyChange(Key from, Key to, KeyMove move) {
    this(from, to, move, Optional.empty());
  }

  /** A move by exactly so many semitones; the scale stays. */
  public static KeyChange by(Key from, int semitones) {
    int pitchClass = Math.floorMod(from.tonic().pitchClass() + semitones, 12);
    Key to = Key.usual(pitchClass, from.scale());
    return new KeyChange(from, to, KeyMove.NEAREST, Optional.of(semitones));
  }

  /**
   * A degree whose height above home differs between two keys.
   *
   * @param before the degree as the old key counts it
   * @param after as the new one does
   * @param where the names of the progressions and parts it was found in
   * @param count how many notes of chords and lines bent
   */
  public record Bend(Interval before, Interval after, List<String> where, int count) {}

  /** The song in the other key. */
  public Song apply(Song song) {
    int moved = song.brief().moved();
    int shift =
        exact.orElseGet(
            () -> move.semitones(from.tonic().pitchClass(), to.tonic().pitchClass(), moved));
    boolean nearest = exact.isEmpty() && move == KeyMove.NEAREST;
    return new MovedSong(new DegreeBend(from, to), shift)
        .of(song)
        .withBrief(song.brief().withKey(to).withMoved(nearest ? moved + shift : 0));
  }

  /** What bends when a song makes this move, by degree; nothing when only the home note changes. */
  public List<Bend> bends(Song song) {
    DegreeBend bend = new DegreeBend(from, to);
    Map<Interval, Bend> out = new LinkedHashMap<>();
    for (Progression row : song.progressions()) {
      for (ChordSpan span : row.spans()) {
        if (bend.belongs(span.chord())) {
          span.chord().notes().forEach(note -> count(out, note.pitchClass(), row.name()));
        }
      }
    }
    for (Part part : song.parts().stream().filter(Part::pitched).toList()) {
      part.patterns().stream()
          .flatMap(named -> notes(named.pattern()).stream())
          .forEach(note -> count(out, note.key() % 12, part.name()));
    }
    return List.copyOf(out.values());
  }

  private void count(Map<Interval, Bend> bends, int pitchClass, String where) {
    Interval degree = from.degreeOf(pitchClass);
    Interval target = new DegreeBend(from, to).bent(degree);
    if (target.semitones() == degree.semitones()) {
      return;
    }
    Bend old = bends.getOrDefault(degree, new Bend(degree, target, List.of(), 0));
    List<String> places = new ArrayList<>(old.where());
    if (!places.contains(where)) {
      places.add(where);
    }
    bends.put(degree, new Bend(degree, target, places, old.count() + 1));
  }

  private static List<Note> notes(Pattern pattern) {
    if (pattern instanceof Pattern.Phrase phrase) {
      return phrase.motif();
    }
    return pattern instanceof Pattern.Written written ? written.notes() : List.of();
  }
}
