package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.song.form.Section;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.ChordVoicings;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.Pattern;
import westtide.theory.Chord;
import westtide.theory.NoteName;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingRange;

/**
 * A song carried to another key: everything pitched goes the same way by the same distance, bent
 * where the scale differs. Voicings are carried along; after a change of mode each chord part keeps
 * those of chords that stayed what they were and bends single voices of the others.
 *
 * @param bend what becomes of degrees
 * @param shift semitones everything goes
 */
record MovedSong(DegreeBend bend, int shift) {
  private static final int LOWEST_LOW = 12;

  Song of(Song song) {
    return song.with(
        song.progressions().stream().map(this::progression).toList(),
        song.parts().stream().map(part -> part(song, part)).toList(),
        song.form().each(this::section));
  }

  private Progression progression(Progression row) {
    return row.withSpans(row.spans().stream().map(this::span).toList());
  }

  private ChordSpan span(ChordSpan span) {
    Optional<Voicing> own =
        span.articulation().own().map(voicing -> voicing(span.chord(), voicing));
    return new ChordSpan(bend.chord(span.chord()), span.ticks(), span.articulation().withOwn(own));
  }

  private Voicing voicing(Chord chord, Voicing voicing) {
    boolean bends = bend.belongs(chord);
    return new Voicing(
        voicing.keys().stream()
            .map(key -> Voicing.held(key + shift + (bends ? bend.of(key) : 0)))
            .toList());
  }

  private Section section(Section section) {
    return section.withPedal(section.pedal().map(this::pedal));
  }

  private NoteName pedal(NoteName note) {
    int home = bend.to().tonic().pitchClass() - bend.from().tonic().pitchClass();
    int pitchClass = note.pitchClass();
    return bend.to().pitch(60 + Math.floorMod(pitchClass + home + bend.of(pitchClass), 12)).name();
  }

  private Part part(Song song, Part part) {
    if (!part.pitched()) {
      return part;
    }
    return part.withPatterns(
        part.patterns().stream()
            .map(named -> named.withPattern(named.pattern().accept(new Moved(song))))
            .toList());
  }

  /** Each kind of pattern and rule in the other key. */
  private final class Moved implements PitchChange {
    private final Song song;

    Moved(Song song) {
      this.song = song;
    }

    @Override
    public Note note(Note note) {
      return note.withKey(Voicing.held(note.key() + shift + bend.of(note.key())));
    }

    @Override
    public Pattern attached(Pattern.Attached pattern) {
      return pattern.withLowest(lowest(pattern.lowest(), 72));
    }

    @Override
    public FollowRule chords(FollowRule.Chords rule) {
      FollowRule.Chords moved = rule.withRange(range(rule.range()));
      return moved.withOwn(rule.own().withKept(kept(rule, moved)));
    }

    @Override
    public FollowRule sub(FollowRule.Bass808 rule) {
      return rule.withLowest(lowest(rule.lowest(), 60));
    }

    @Override
    public FollowRule bass(FollowRule.Bass rule) {
      return rule.withLowest(lowest(rule.lowest(), 72));
    }

    @Override
    public FollowRule arpeggio(Arpeggio rule) {
      return rule.withLowest(lowest(rule.lowest(), 108));
    }

    @Override
    public FollowRule lowLine(LowLine rule) {
      return rule.withLowest(lowest(rule.lowest(), 60));
    }

    @Override
    public FollowRule doubling(FollowRule.Doubling rule) {
      return rule;
    }

    private int lowest(int midi, int most) {
      int moved = midi + shift;
      while (moved > most) {
        moved -= 12;
      }
      while (moved < LOWEST_LOW) {
        moved += 12;
      }
      return moved;
    }

    private VoicingRange range(VoicingRange range) {
      int by = shift;
      while (range.high() + by > 127) {
        by -= 12;
      }
      while (range.bassLow() + by < 0 || range.low() + by < 0) {
        by += 12;
      }
      return new VoicingRange(range.bassLow() + by, range.low() + by, range.high() + by);
    }

    /**
     * The voicings that stay: all where the mode changed or the new height would lay the row out
     * another way, else those that were kept before.
     */
    private List<FollowRule.Kept> kept(FollowRule.Chords rule, FollowRule.Chords moved) {
      List<FollowRule.Kept> out = new ArrayList<>();
      for (Progression row : song.progressions()) {
        List<Voicing> laid = ChordVoicings.of(rule, row.withOctave(0));
        boolean all = bend.any() || strays(row, laid, moved);
        for (int i = 0; i < laid.size(); i++) {
          Chord chord = row.spans().get(i).chord();
          boolean plain = plain(row.spans().get(i));
          if (plain && (all || keeps(rule, row, chord))) {
            keep(out, row.name(), chord, laid.get(i));
          }
        }
      }
      return out;
    }

    private boolean strays(Progression row, List<Voicing> laid, FollowRule.Chords moved) {
      FollowRule.Chords free = moved.withOwn(moved.own().withKept(List.of()));
      List<Voicing> anew = ChordVoicings.of(free, progression(row.withOctave(0)));
      for (int i = 0; i < laid.size(); i++) {
        if (!anew.get(i).equals(voicing(row.spans().get(i).chord(), laid.get(i)))) {
          return true;
        }
      }
      return false;
    }

    private boolean plain(ChordSpan span) {
      var articulation = span.articulation();
      return articulation.own().isEmpty()
          && articulation.kind().isEmpty()
          && articulation.inversion().isEmpty();
    }

    private boolean keeps(FollowRule.Chords rule, Progression row, Chord chord) {
      return rule.own().kept().stream()
          .anyMatch(k -> k.progression().equals(row.name()) && k.chord().equals(chord));
    }

    private void keep(List<FollowRule.Kept> out, String row, Chord chord, Voicing voicing) {
      Chord next = bend.chord(chord);
      Voicing moved = voicing(chord, voicing);
      boolean fits = moved.keys().stream().allMatch(key -> next.sounding().contains(key % 12));
      boolean known =
          out.stream().anyMatch(k -> k.progression().equals(row) && k.chord().equals(next));
      if (fits && !known) {
        out.add(new FollowRule.Kept(row, next, moved));
      }
    }
  }
}
