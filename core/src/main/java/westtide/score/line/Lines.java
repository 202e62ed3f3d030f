package westtide.score.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import westtide.follow.ChordDegrees;
import westtide.follow.Follower;
import westtide.follow.Harmony;
import westtide.rhythm.Meter;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.CellSpan;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.BorrowedRhythm;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.Pattern;

/** What patterns play over whole sections: written lines repeated, rules resolved. */
public final class Lines {
  private final Song song;
  private final Harmonies harmonies;
  private final Meter meter;
  private final Map<Place, Line> known = new HashMap<>();
  private final Map<Name, Pattern.Drums> grooves = new HashMap<>();

  /** What decides how a pattern resolves: a section, or what is heard over so many bars. */
  private record Place(PartId part, String pattern, int bars, int heard, int kicks) {}

  private record Name(PartId part, String pattern) {}

  /** The lines of a song over its chords. */
  public Lines(Song song, Harmonies harmonies) {
    this.song = song;
    this.harmonies = harmonies;
    this.meter = song.brief().meter();
  }

  /** A groove, worked out where it follows another. */
  public Pattern.Drums groove(Part part, String pattern) {
    return grooves.computeIfAbsent(
        new Name(part.id(), pattern), name -> part.groove(pattern, meter).orElseThrow());
  }

  /** A pattern, a groove or a phrase worked out. */
  public Pattern pattern(Part part, String pattern) {
    if (part.role() == Role.DRUMS) {
      return groove(part, pattern);
    }
    Pattern own = part.pattern(pattern).pattern();
    return own instanceof Pattern.Phrase phrase ? phrase.written(song.brief().key(), meter) : own;
  }

  /** What a pitched pattern plays over the section at a place. */
  public Line of(Part part, String name, int place) {
    Pattern pattern = part.pattern(name).pattern();
    Place key = pattern.accept(new Deciding(part, name, place));
    Line found = known.get(key);
    if (found == null) {
      found = pattern.accept(new Resolved(part, name, place));
      known.put(key, found);
    }
    return found;
  }

  /** What each kind of pattern listens to in the section at a place. */
  private final class Deciding implements Pattern.Kinds<Place>, FollowRule.Kinds<Place> {
    private final Part part;
    private final String name;
    private final int place;

    Deciding(Part part, String name, int place) {
      this.part = part;
      this.name = name;
      this.place = place;
    }

    @Override
    public Place drums(Pattern.Drums pattern) {
      return by(0, 0);
    }

    @Override
    public Place varied(Pattern.Varied pattern) {
      return by(0, 0);
    }

    @Override
    public Place written(Pattern.Written pattern) {
      return by(0, 0);
    }

    @Override
    public Place phrase(Pattern.Phrase pattern) {
      return by(0, 0);
    }

    @Override
    public Place attached(Pattern.Attached pattern) {
      return by(heard(), 0);
    }

    @Override
    public Place following(Pattern.Following pattern) {
      return pattern.rule().accept(this);
    }

    @Override
    public Place chords(FollowRule.Chords rule) {
      return by(heard(), 0);
    }

    @Override
    public Place sub(FollowRule.Bass808 rule) {
      return by(heard(), harmonies.kicks(place).id());
    }

    @Override
    public Place bass(FollowRule.Bass rule) {
      return by(heard(), 0);
    }

    @Override
    public Place arpeggio(Arpeggio rule) {
      return by(heard(), 0);
    }

    @Override
    public Place lowLine(LowLine rule) {
      return rule.hears().isPresent() ? by(place, -1) : by(heard(), harmonies.kicks(place).id());
    }

    @Override
    public Place borrowed(BorrowedRhythm rule) {
      return by(place, -1);
    }

    @Override
    public Place doubling(FollowRule.Doubling rule) {
      return by(place, -1);
    }

    private int heard() {
      return harmonies.of(part, name, place).id();
    }

    private Place by(int heard, int kicks) {
      return new Place(part.id(), name, song.form().sections().get(place).bars(), heard, kicks);
    }
  }

  /** Each kind of pattern over a section. */
  private final class Resolved implements Pattern.Kinds<Line> {
    private final Part part;
    private final String name;
    private final int place;

    Resolved(Part part, String name, int place) {
      this.part = part;
      this.name = name;
      this.place = place;
    }

    @Override
    public Line drums(Pattern.Drums pattern) {
      return Line.ruled(name, List.of());
    }

    @Override
    public Line varied(Pattern.Varied pattern) {
      return Line.ruled(name, List.of());
    }

    @Override
    public Line written(Pattern.Written pattern) {
      int length = pattern.ticks(meter);
      int total = song.form().sections().get(place).ticks(meter);
      int restart = pattern.cycle().restartTicks(total, meter);
      List<Note> once = HeldLine.inside(pattern.notes(), 0, length);
      List<Note> out = new ArrayList<>();
      List<Integer> origins = new ArrayList<>();
      for (int from = 0; from < total; from += restart) {
        int end = Math.min(total, from + restart);
        for (int pass = 0; from + pass * length < end; pass++) {
          addPass(once, from + pass * length, pass, end, out, origins);
        }
      }
      return Line.written(name, out, origins);
    }

    private void addPass(
        List<Note> once, int from, int pass, int end, List<Note> out, List<Integer> origins) {
      for (int i = 0; i < once.size(); i++) {
        Note note = once.get(i);
        if (from + note.start() < end && note.playsIn(pass)) {
          out.add(from == 0 ? note : note.withStart(from + note.start()));
          origins.add(i);
        }
      }
    }

    @Override
    public Line phrase(Pattern.Phrase pattern) {
      return written(pattern.written(song.brief().key(), meter));
    }

    @Override
    public Line attached(Pattern.Attached pattern) {
      Harmony harmony = harmonies.of(part, name, place).harmony();
      ChordDegrees degrees = new ChordDegrees(harmony, song.brief().key(), pattern.lowest());
      int length = pattern.bars() * meter.ticksPerBar();
      return Line.written(
          name, degrees.resolve(pattern.notes(), length), degrees.origins(pattern.notes(), length));
    }

    @Override
    public Line following(Pattern.Following pattern) {
      Harmony harmony = harmonies.of(part, name, place).harmony();
      Follower follower =
          new Follower(
              part.id(),
              harmony,
              () -> harmonies.kicks(place).ticks(),
              song.brief().key(),
              model -> heard(model, place));
      return Line.ruled(name, follower.resolve(pattern.rule()));
    }
  }

  /**
   * What a model plays over a section wherever it sounds, though it may be out: its own patterns,
   * as high as they sound.
   */
  private List<Note> heard(PartId id, int place) {
    Part model = song.part(id).orElseThrow();
    Section section = song.form().sections().get(place);
    List<Note> out = new ArrayList<>();
    for (CellSpan span : Spans.joined(section, model)) {
      int from = span.from(meter);
      int to = span.to(meter);
      Line line = of(model, Spans.name(model, span.cell()), place);
      for (Note note : HeldLine.inside(line.notes(), from, to)) {
        out.add(note.withKey(model.transposition().key(note.key())));
      }
    }
    out.sort(Comparator.comparingInt(Note::start).thenComparingInt(Note::key));
    return model.role() == Role.SUB ? oneAtATime(out) : out;
  }

  /** When a part strikes in a section, from its start; what sounds together is one strike. */
  public List<Integer> struck(PartId model, int place) {
    return heard(model, place).stream().map(Note::start).distinct().toList();
  }

  private static List<Note> oneAtATime(List<Note> notes) {
    List<Note> out = new ArrayList<>(notes);
    for (int i = 0; i + 1 < out.size(); i++) {
      int next = out.get(i + 1).start();
      if (out.get(i).end() > next && next > out.get(i).start()) {
        out.set(i, out.get(i).withTicks(next - out.get(i).start()));
      }
    }
    return out;
  }
}
