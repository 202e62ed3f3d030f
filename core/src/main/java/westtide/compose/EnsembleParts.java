package westtide.compose;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import westtide.compose.groove.GrooveDraft;
import westtide.compose.line.SecondLine;
import westtide.follow.Harmony;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.Progression;
import westtide.song.chord.Strum;
import westtide.song.drum.LaneId;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.form.SectionKind;
import westtide.song.id.Seed;
import westtide.song.line.Note;
import westtide.song.mix.Patch;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LineFit;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.style.CoreParts;
import westtide.style.EnsembleHabit;
import westtide.style.GrooveHabit;
import westtide.style.Job;
import westtide.style.LaneHabit;
import westtide.style.Span;
import westtide.style.Style;

/**
 * Makes the parts that join a draft: each by its job, over the chords and beside the lead of the
 * song. A line has a second way to go, {@value #OTHER}, for when its section returns, and one over
 * each other progression, under its name.
 */
final class EnsembleParts {
  /** The name of the second pattern of a line. */
  static final String OTHER = "B";

  private static final int SHORTEST_LINE = 8;
  private static final double LEFT_OUT = 0.27;
  private static final double ADDED = 0.07;
  private static final int BUSY = 6;
  private static final int FEWEST = 3;

  private final Style style;
  private final Song song;
  private final Seed seed;

  EnsembleParts(Style style, Song song, Seed seed) {
    this.style = style;
    this.song = song;
    this.seed = seed;
  }

  /** A part of the ensemble. */
  Part part(EnsembleHabit.Member member) {
    Seed own = seed.plus(member.id().seed());
    Made made = member.job().accept(new Making(own));
    Part plain =
        Part.of(member.id(), member.name(), made.role(), member.program(), made.patterns());
    Part mixed = plain.withMix(member.mix().on(plain.mix()));
    return made.groove()
        .map(groove -> groove.voiced(mixed))
        .orElseGet(
            () -> mixed.withPatch(new Patch(member.instrument(), Map.of()), member.program()));
  }

  /**
   * What a job makes of a part.
   *
   * @param role its role
   * @param patterns what it plays
   * @param groove what places its lanes, of drums
   */
  private record Made(Role role, List<NamedPattern> patterns, Optional<GrooveDraft> groove) {
    static Made following(Role role, FollowRule rule) {
      NamedPattern main = new NamedPattern(SongDraft.MAIN, new Pattern.Following(rule));
      return new Made(role, List.of(main), Optional.empty());
    }
  }

  /** Makes what each job is there for, its chances from a seed of the member's own. */
  private final class Making implements Job.Kinds<Made> {
    private final Seed own;

    Making(Seed own) {
      this.own = own;
    }

    @Override
    public Made bed(Job.Bed job) {
      return Made.following(Role.CHORDS, EnsembleParts.this.bed(job));
    }

    @Override
    public Made twin(Job.Twin job) {
      Role role = song.part(job.of()).map(Part::role).orElse(Role.LINE);
      FollowRule rule =
          new FollowRule.Doubling(job.of(), job.octaves(), job.velocity(), job.without());
      return Made.following(role, rule);
    }

    @Override
    public Made broken(Job.Broken job) {
      return Made.following(Role.LINE, job.rule().withSeed(own.value()));
    }

    @Override
    public Made beside(Job.Beside job) {
      Progression hook = song.progressions().get(0);
      List<NamedPattern> out = new ArrayList<>();
      out.add(new NamedPattern(SongDraft.MAIN, line(job, hook, own)));
      out.add(new NamedPattern(OTHER, line(job, hook, own.plus(1))));
      for (Progression other : song.progressions().subList(1, song.progressions().size())) {
        out.add(new NamedPattern(other.name(), line(job, other, own)));
      }
      return new Made(Role.LINE, out, Optional.empty());
    }

    @Override
    public Made percussion(Job.Percussion job) {
      GrooveDraft draft = new GrooveDraft(groove(job, own), own);
      return new Made(Role.DRUMS, List.of(draft.draw().get(0)), Optional.of(draft));
    }
  }

  private FollowRule bed(Job.Bed bed) {
    FollowRule.Own own =
        FollowRule.Own.NOTHING
            .withRhythm(Optional.of(new ChordRhythm(bed.figure(), 0)))
            .withStrum(Optional.of(bed.strum() == 0 ? Strum.BLOCK : Strum.up(bed.strum())));
    return FollowRule.Chords.of(style.keysPart().range(), bed.figure())
        .withKind(style.chords().spread())
        .withLayer(new FollowRule.Layer(bed.octaves(), bed.without()))
        .withVary(new FollowRule.Vary(Math.max(4, style.chords().vary()), seed.value()))
        .withOwn(own);
  }

  private Pattern.Written line(Job.Beside beside, Progression progression, Seed own) {
    Pattern.Written lead = lead();
    int bars = Math.max(SHORTEST_LINE, lead.bars());
    Harmony harmony = Harmony.of(progression, bars, song.brief());
    SecondLine second = new SecondLine(song.brief().key(), song.brief().meter(), harmony);
    List<Note> heard = goingOn(lead, bars);
    Pattern.Written line =
        switch (beside.kind()) {
          case COUNTER -> second.counter(heard, bars, own);
          case ANSWER -> second.answer(heard, bars);
          case GHOST -> second.ghost(bars);
          case STABS -> second.stabs(bars);
          case RIFF -> second.riff(style.lead(), bars, own);
        };
    List<Note> placed = moved(line.notes(), 12 * beside.octaves());
    return line.withNotes(withoutRubs(placed, harmony));
  }

  /** The notes of a line that is played again and again for so many bars. */
  private List<Note> goingOn(Pattern.Written line, int bars) {
    int bar = song.brief().meter().ticksPerBar();
    List<Note> out = new ArrayList<>();
    for (int from = 0; from < bars; from += line.bars()) {
      for (Note note : line.notes()) {
        int start = note.start() + from * bar;
        if (start < bars * bar) {
          out.add(note.withStart(start));
        }
      }
    }
    return out;
  }

  /** Notes that would rub a semitone above a chord fall into its tone. */
  private List<Note> withoutRubs(List<Note> notes, Harmony harmony) {
    LineFit fit = new LineFit(notes, harmony.chords(), song.brief().meter());
    List<Note> rubs = fit.rubs();
    return notes.stream()
        .map(note -> rubs.contains(note) ? note.withKey(note.key() - 1) : note)
        .toList();
  }

  private static List<Note> moved(List<Note> notes, int semitones) {
    List<Note> out = new ArrayList<>();
    for (Note note : notes) {
      int key = note.key() + semitones;
      out.add(key < 0 || key > 127 ? note : note.withKey(key));
    }
    return out;
  }

  /** Hand drums are never played twice alike: some strokes are left out, a few soft ones added. */
  private static String strayed(String text, Random random) {
    StringBuilder out = new StringBuilder();
    long strong = text.chars().filter(sign -> sign == 'x').count();
    boolean busy = strong >= BUSY;
    for (char sign : text.toCharArray()) {
      double chance = random.nextDouble();
      boolean struck = sign == 'o' || sign == 'x' && strong > FEWEST;
      if (struck && chance < LEFT_OUT) {
        strong -= sign == 'x' ? 1 : 0;
        out.append('.');
      } else if (busy && sign == '.' && chance < ADDED) {
        out.append('o');
      } else {
        out.append(sign);
      }
    }
    return out.toString();
  }

  /** What the lead plays in the first hook it is in. */
  private Pattern.Written lead() {
    String played =
        song.form().sections().stream()
            .filter(section -> section.word().kind() == SectionKind.HOOK)
            .flatMap(section -> section.cells(CoreParts.LEAD).stream())
            .filter(cell -> cell.level() != Level.OUT)
            .map(Cell::pattern)
            .findFirst()
            .orElse(SongDraft.MAIN);
    return song.part(CoreParts.LEAD)
        .map(part -> part.pattern(played).pattern())
        .filter(Pattern.Written.class::isInstance)
        .map(Pattern.Written.class::cast)
        .orElse(new Pattern.Written(SHORTEST_LINE, List.of()));
  }

  private GrooveHabit groove(Job.Percussion more, Seed own) {
    Random random = own.random("percussion");
    Map<LaneId, LaneHabit> lanes = new LinkedHashMap<>();
    more.lanes()
        .forEach(
            (id, lane) ->
                lanes.put(
                    id,
                    lane.withTexts(
                        lane.texts().stream().map(text -> strayed(text, random)).toList())));
    return new GrooveHabit(
        more.bars(),
        lanes,
        List.of(),
        style.groove().fills(),
        new Span(0, 16, 8),
        new GrooveHabit.Schools(false, false, Math.max(6, style.groove().schools().vary())));
  }
}
