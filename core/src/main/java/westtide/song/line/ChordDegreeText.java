package westtide.song.line;

import java.util.Optional;

/** Pitches as members of the chord heard, or as degrees of the key. */
public record ChordDegreeText() implements PitchText<ChordDegree> {
  @Override
  public Optional<ChordDegree> parse(String body) {
    return ChordDegree.find(body);
  }

  @Override
  public String format(ChordDegree pitch) {
    return pitch.toString();
  }

  @Override
  public String allowed() {
    return "R for the heard bass, a member of the chord such as R3, R5 or R8, or a degree of the key";
  }
}
