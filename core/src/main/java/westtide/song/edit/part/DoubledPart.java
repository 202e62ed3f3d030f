package westtide.song.edit.part;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.rhythm.Velocity;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.PitchChange;
import westtide.song.form.Cell;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.Transposition;
import westtide.theory.voicing.ChordMember;

/**
 * A pattern that doubles another part, put on its own feet: it gets the model's patterns where the
 * double stood, and plays each where the model plays it.
 *
 * @param part the part that doubles
 * @param pattern the name of the pattern that doubles
 * @param rule how it doubles
 */
record DoubledPart(PartId part, String pattern, FollowRule.Doubling rule) {
  Song alone(Song song) {
    Part own = song.part(part).orElseThrow();
    Part model = song.part(rule.model()).orElseThrow();
    Map<String, String> names = names(own, model);
    List<NamedPattern> patterns = new ArrayList<>();
    for (NamedPattern old : own.patterns()) {
      if (old.name().equals(pattern)) {
        model.patterns().forEach(v -> patterns.add(taken(v, names.get(v.name()))));
      } else {
        patterns.add(old);
      }
    }
    boolean first = own.usual().name().equals(pattern);
    Transposition moved = moved(own, model);
    List<Part> parts =
        song.parts().stream()
            .map(p -> p.id().equals(part) ? p.withPatterns(patterns).withTransposition(moved) : p)
            .toList();
    return song.withEachForm(
        song.progressions(),
        parts,
        form -> form.each(section -> playing(section, model, names, first)));
  }

  private static Transposition moved(Part own, Part model) {
    int semitones = own.transposition().semitones() + model.transposition().semitones();
    int farthest = Transposition.FARTHEST;
    return own.transposition().withSemitones(Math.max(-farthest, Math.min(farthest, semitones)));
  }

  /** The model's names, changed where another pattern of the part has them. */
  private Map<String, String> names(Part own, Part model) {
    Map<String, String> out = new LinkedHashMap<>();
    for (NamedPattern of : model.patterns()) {
      String name = of.name();
      int number = 2;
      while (taken(own, name) || out.containsValue(name)) {
        name = of.name() + " " + number++;
      }
      out.put(of.name(), name);
    }
    return out;
  }

  private boolean taken(Part own, String name) {
    return !name.equals(pattern) && own.find(name).isPresent();
  }

  private Section playing(Section section, Part model, Map<String, String> names, boolean first) {
    if (!section.cells().containsKey(part)) {
      return section;
    }
    List<Cell> out = new ArrayList<>();
    for (int bar = 0; bar < section.bars(); bar++) {
      Cell mine = section.cell(part, bar);
      boolean doubles = mine.pattern().equals(pattern) || first && mine.pattern().isEmpty();
      Cell theirs = section.cell(model.id(), bar);
      Cell cell =
          doubles ? mine.withPattern(names.get(model.pattern(theirs.pattern()).name())) : mine;
      Cell last = out.isEmpty() ? null : out.get(out.size() - 1);
      if (last == null || mine.fromBar() == bar || !last.pattern().equals(cell.pattern())) {
        out.add(cell.withFromBar(bar));
      }
    }
    return section.withCells(part, out);
  }

  private NamedPattern taken(NamedPattern of, String name) {
    return new NamedPattern(name, of.pattern().accept(new Taken()));
  }

  /** What the double of a pattern is when it stands alone. */
  private final class Taken implements PitchChange {
    @Override
    public Note note(Note note) {
      int key = new Transposition(12 * rule.octaves(), 0).key(note.key());
      return note.withKey(key).withVelocity(Velocity.held(note.velocity() + rule.velocity()));
    }

    @Override
    public FollowRule chords(FollowRule.Chords of) {
      return rule.of(of);
    }

    @Override
    public FollowRule sub(FollowRule.Bass808 of) {
      return of.withLowest(Math.max(12, Math.min(60, of.lowest() + 12 * rule.octaves())));
    }

    @Override
    public FollowRule bass(FollowRule.Bass of) {
      return of.withLowest(Math.max(12, Math.min(72, of.lowest() + 12 * rule.octaves())));
    }

    @Override
    public FollowRule arpeggio(Arpeggio of) {
      return of.withLowest(Math.max(12, Math.min(108, of.lowest() + 12 * rule.octaves())));
    }

    @Override
    public Pattern attached(Pattern.Attached of) {
      List<ChordNote> louder =
          of.notes().stream().map(note -> note.louder(rule.velocity())).toList();
      return of.withNotes(louder)
          .withLowest(Math.max(12, Math.min(72, of.lowest() + 12 * rule.octaves())));
    }

    @Override
    public FollowRule lowLine(LowLine of) {
      return of.withLowest(Math.max(12, Math.min(60, of.lowest() + 12 * rule.octaves())));
    }

    @Override
    public FollowRule doubling(FollowRule.Doubling of) {
      int velocity = Math.max(-100, Math.min(100, of.velocity() + rule.velocity()));
      Set<ChordMember> without = EnumSet.noneOf(ChordMember.class);
      without.addAll(of.without());
      without.addAll(rule.without());
      return new FollowRule.Doubling(of.model(), octaves(of.octaves()), velocity, without);
    }

    private int octaves(int of) {
      return Math.max(-3, Math.min(3, of + rule.octaves()));
    }
  }
}
