package westtide.compose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.song.LowLine;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;

/** What tells one draft from another, in a few words a part. */
public final class DraftWords {
  private DraftWords() {}

  /** How its drums, its lead, its low end and its form go. */
  public static List<String> of(Song song) {
    List<String> out = new ArrayList<>();
    drums(song).ifPresent(out::add);
    lead(song).ifPresent(out::add);
    for (Role role : List.of(Role.SUB, Role.BASS)) {
      song.parts(role).stream().findFirst().flatMap(DraftWords::low).ifPresent(out::add);
    }
    out.add(song.form().toString());
    return out;
  }

  private static Optional<String> drums(Song song) {
    return song.part(SongDraft.DRUMS)
        .flatMap(part -> part.groove(SongDraft.MAIN, song.brief().meter()))
        .map(
            groove ->
                "kick "
                    + hits(groove, DrumVoice.KICK)
                    + " and hats "
                    + hits(groove, DrumVoice.CLOSED_HAT)
                    + " in "
                    + groove.bars()
                    + " bars");
  }

  private static int hits(Pattern.Drums groove, DrumVoice voice) {
    return groove.find(voice.lane()).map(DrumLane::lane).map(lane -> lane.hits().size()).orElse(0);
  }

  private static Optional<String> lead(Song song) {
    return song.part(SongDraft.LEAD)
        .map(part -> part.pattern(SongDraft.MAIN).pattern())
        .filter(Pattern.Written.class::isInstance)
        .map(Pattern.Written.class::cast)
        .filter(line -> !line.notes().isEmpty())
        .map(line -> lead(song, line.notes()));
  }

  private static String lead(Song song, List<Note> notes) {
    int end = 2 * song.brief().meter().ticksPerBar();
    long count = notes.stream().filter(note -> note.start() < end).count();
    int low = notes.stream().mapToInt(Note::key).min().orElseThrow();
    int high = notes.stream().mapToInt(Note::key).max().orElseThrow();
    return "lead of "
        + count
        + " notes in two bars, "
        + song.brief().key().pitch(low)
        + " to "
        + song.brief().key().pitch(high);
  }

  private static Optional<String> low(Part part) {
    return part.rules(LowLine.class).stream()
        .findFirst()
        .map(rule -> part.name() + " " + rule.rhythm() + ", " + rule.pitches());
  }
}
