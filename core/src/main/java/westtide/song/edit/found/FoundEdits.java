package westtide.song.edit.found;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.song.edit.PartNames;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;
import westtide.song.found.LoopPatterns;
import westtide.song.found.Origin;
import westtide.song.found.PieceLine;
import westtide.song.found.Recording;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.mix.Duck;
import westtide.song.mix.Equaliser;
import westtide.song.mix.Mix;
import westtide.song.pattern.NamedPattern;
import westtide.text.Reading;
import westtide.theory.Key;

/**
 * Edits of a part that plays pieces of a sound. The recording stays as it is.
 *
 * @param part the part's id
 */
public record FoundEdits(PartId part) {
  /** Where a voice asks for room, and how much (common practice: 2 to 4 dB at its presence). */
  private static final int VOICE_HERTZ = 2500;

  private static final int VOICE_TENTHS = -35;
  private static final int LOWS_DRIVE = 40;
  private static final int OCTAVE = 12;

  /** Makes it fit otherwise; what it plays stays in its place. */
  public Edit fit(Fit fit) {
    return found(
        song -> "Fit " + named(song) + ": " + fit.way() + ", counted " + fit.feel(),
        found -> found.withFit(fit));
  }

  /** Takes tempo, tuning and, where it has one, the key of the loop for the song. */
  public Edit songToLoop() {
    return Edit.named(
        song -> "The song to " + named(song),
        song -> {
          FoundSound sound = sound(song);
          Fit own = sound.fit().withWay(Fit.Way.REPITCH).withSemitones(0).withCents(0);
          Song tuned =
              BriefEdits.cents(sound.cents())
                  .apply(
                      BriefEdits.tempo(Tempo.nearest(sound.withFit(own).countedBpm())).apply(song));
          Song keyed =
              sound
                  .key()
                  .map(key -> BriefEdits.key(chordKey(key, tuned.brief().key())).apply(tuned))
                  .orElse(tuned);
          return keyed.withPart(part, p -> p.withFound(f -> f.withFit(own)));
        });
  }

  private static Key chordKey(Key loop, Key song) {
    return loop.minor() == song.minor() && loop.tonic().pitchClass() == song.tonic().pitchClass()
        ? song
        : loop;
  }

  /** Stretches the loop to the song, moved to the song's key and tuning the nearest way. */
  public Edit loopToSong(Fit.Way way) {
    return Edit.named(
        song -> named(song) + " to the song",
        song -> {
          FoundSound sound = sound(song);
          Fit fit =
              sound
                  .fit()
                  .withWay(way)
                  .withSemitones(way == Fit.Way.REPITCH ? 0 : toKey(sound, song.brief().key()))
                  .withCents(
                      way == Fit.Way.REPITCH
                          ? sound.fit().cents()
                          : cents(song.brief().cents() - sound.cents()));
          return song.withPart(part, p -> p.withFound(f -> f.withFit(fit)));
        });
  }

  private static int cents(int wanted) {
    return Math.max(-100, Math.min(100, wanted));
  }

  /** Semitones from the loop's key to one of the song: a minor and its major count as one. */
  public static int toKey(FoundSound sound, Key song) {
    return sound
        .key()
        .map(
            key -> {
              int from = key.tonic().pitchClass() + (key.minor() ? 3 : 0);
              int to = song.tonic().pitchClass() + (song.minor() ? 3 : 0);
              return nearestWay(to - from);
            })
        .orElse(0);
  }

  /**
   * Semitones a loop lies below (positive) or above the key of a song as it sounds there, the
   * nearest way; 0 where it has no key.
   */
  public static int fromKey(FoundSound sound, Brief brief) {
    int sounding = (int) Math.round(sound.semitones(brief.tempo()));
    return sound.key().isEmpty() ? 0 : nearestWay(toKey(sound, brief.key()) - sounding);
  }

  private static int nearestWay(int semitones) {
    int up = Math.floorMod(semitones, OCTAVE);
    return up > OCTAVE / 2 ? up - OCTAVE : up;
  }

  /**
   * Moves its first downbeat to a sample. Pieces that begin before it are gone, and notes that
   * played them play the first.
   *
   * @param from the sound before the hand took it, so that a pull there and back loses nothing
   */
  public Edit downbeat(Part from, int sample) {
    return Edit.named(
        song -> "Move the downbeat of " + named(song),
        song ->
            song.withPart(part, p -> recut(from, from.found().orElseThrow().withDownbeat(sample))));
  }

  /** Says how long it is: so many bars at a tempo of its own. */
  public Edit bars(Tempo tempo, int bars) {
    return Edit.named(
        song -> "Count " + bars + " bars at " + tempo + " in " + named(song),
        song ->
            song.withPart(
                part,
                p -> {
                  Part counted = p.withFound(f -> f.withTempo(tempo, bars));
                  return relaid(counted, song.brief().meter());
                }));
  }

  /** Its usual patterns laid out anew; others stay as they are. */
  private static Part relaid(Part part, Meter meter) {
    FoundSound sound = part.found().orElseThrow();
    Part out = part;
    for (NamedPattern usual : LoopPatterns.of(sound, meter)) {
      out = out.find(usual.name()).isPresent() ? out.with(usual) : out;
    }
    return out;
  }

  /** Cuts it at other samples; notes go on playing the piece that begins nearest. */
  public Edit marks(List<Integer> samples) {
    return Edit.named(
        song ->
            "Cut " + named(song) + " into " + sound(song).withMarks(samples).pieces() + " pieces",
        song -> song.withPart(part, p -> recut(p, p.found().orElseThrow().withMarks(samples))));
  }

  private static Part recut(Part part, FoundSound after) {
    FoundSound before = part.found().orElseThrow();
    UnaryOperator<Note> moved =
        note -> {
          int piece = note.key() - FoundSound.FIRST_KEY;
          boolean isPiece = piece >= 0 && piece < before.pieces();
          return isPiece
              ? note.withKey(FoundSound.FIRST_KEY + nearest(after, before.begins(piece)))
              : note;
        };
    return part.withFound(found -> after)
        .withPatterns(
            part.patterns().stream()
                .map(named -> named.withPattern(LoopPatterns.each(named.pattern(), moved)))
                .toList());
  }

  private static int nearest(FoundSound sound, int sample) {
    int best = 0;
    for (int i = 1; i < sound.pieces(); i++) {
      int away = Math.abs(sound.begins(i) - sample);
      best = away < Math.abs(sound.begins(best) - sample) ? i : best;
    }
    return best;
  }

  /** What is known of where it is from. */
  public Edit origin(Origin origin) {
    return found(song -> "Where " + named(song) + " is from", found -> found.withOrigin(origin));
  }

  /** The key it is in, or none. */
  public Edit key(Optional<Key> key) {
    return found(
        song -> named(song) + " is in " + key.map(Key::toString).orElse("no key"),
        found -> found.withKey(key));
  }

  /** Whether a piece ends the one before. */
  public Edit chokes(boolean chokes) {
    return found(
        song -> (chokes ? "Pieces end each other: " : "Pieces ring: ") + named(song),
        found -> found.withChokes(chokes));
  }

  /** Puts a sound in the place of one that was missing. */
  public Edit recording(Recording recording) {
    return found(song -> "Bring in " + named(song) + " again", f -> f.withRecording(recording));
  }

  /**
   * Writes a pattern as a line of letters.
   *
   * @throws IllegalArgumentException when the line is not understood
   */
  public Edit line(String pattern, String text) {
    return Edit.named(
        song -> "Type " + pattern + " of " + named(song),
        song -> {
          Reading<PieceLine.Read> read = PieceLine.read(text, sound(song), song.brief().meter());
          PieceLine.Read line = read.orElseThrow();
          return song.withPart(
              part,
              p -> p.withFound(f -> line.sound()).with(new NamedPattern(pattern, line.pattern())));
        });
  }

  /**
   * Its lows to a part of their own beside it, driven and stepping back for the kick, and nothing
   * of them left where they were.
   *
   * @param copy the id of the new part
   * @param hertz where it is split
   */
  public Edit lowsApart(PartId copy, int hertz) {
    return Edit.named(
        song -> "Lows of " + named(song) + " to a part of their own",
        song -> {
          Part own = song.part(part).orElseThrow();
          Duck kick = new Duck(Duck.Trigger.KICK, 80, 140, 0);
          Mix lows =
              own.mix()
                  .withLowCut(0)
                  .withLowPass(Math.max(Mix.LOWEST_PASS, hertz))
                  .withClip(LOWS_DRIVE)
                  .withReverb(0)
                  .withWidth(0)
                  .withDuck(kick);
          Part added =
              own.withId(copy).withName(PartNames.free(song, own.name() + " lows")).withMix(lows);
          List<Part> parts = new ArrayList<>(song.parts());
          parts.add(parts.indexOf(own) + 1, added);
          Song split =
              song.withParts(parts, song.form().each(section -> section.withLike(part, copy)));
          return split.withPart(part, p -> p.withMix(p.mix().withLowCut(hertz)));
        });
  }

  /** A gap where a voice lies: a bell of −3.5 dB round 2.5 kHz; or as it was. */
  public Edit voiceGap(boolean gap) {
    return Edit.named(
        song -> (gap ? "Leave room for a voice in " : "Close the gap in ") + named(song),
        song ->
            song.withPart(
                part,
                p -> {
                  Equaliser flat = p.mix().effects().equaliser();
                  Equaliser room = flat.withMidHertz(VOICE_HERTZ).withMid(gap ? VOICE_TENTHS : 0);
                  return p.withMix(p.mix().withEffects(p.mix().effects().withEqualiser(room)));
                }));
  }

  /** The swing of a loop, taken for the song. */
  public Edit feelToSong(Swing swing) {
    return Edit.named(
        song -> "The feel of " + named(song) + " for the song",
        song -> BriefEdits.swing(swing).apply(song));
  }

  private Edit found(Function<Song, String> title, UnaryOperator<FoundSound> change) {
    return Edit.named(title, song -> song.withPart(part, p -> p.withFound(change)));
  }

  private FoundSound sound(Song song) {
    return song.part(part).flatMap(Part::found).orElseThrow();
  }

  private String named(Song song) {
    return song.part(part).map(Part::name).orElse("the loop");
  }
}
