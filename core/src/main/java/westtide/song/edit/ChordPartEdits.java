package westtide.song.edit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import westtide.song.Cell;
import westtide.song.FollowRule;
import westtide.song.Form;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.mix.Mix;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.VoicingKind;

/**
 * Edits of a part that follows the chords.
 *
 * @param part the part's id
 */
public record ChordPartEdits(String part) {
  /** How far below its model a new layer stands, in tenths of a dB. */
  private static final int LAYER_BELOW = 60;

  /** Spreads its chords another way where a chord has no spread of its own. */
  public Edit spread(VoicingKind kind) {
    return rule("Spread the chords " + kind, rule -> rule.withKind(kind));
  }

  /** Lets velocities differ by an amount 0 to 40 from a seed. */
  public Edit vary(int amount, long seed) {
    int held = Math.max(0, Math.min(40, amount));
    return rule(
            "Vary velocities by " + held, rule -> rule.withVary(new FollowRule.Vary(held, seed)))
        .merging("vary " + part);
  }

  /** Chooses which octave and which notes of the chords it plays. */
  public Edit layer(int octaves, Set<ChordMember> without) {
    return rule(
        "Change what the layer plays",
        rule -> rule.withLayer(new FollowRule.Layer(octaves, without)));
  }

  /**
   * Adds a quieter part that plays the same chords octaves away with some notes left out. It plays
   * wherever its model plays.
   */
  public Edit addLayer(int octaves, Set<ChordMember> without) {
    return Edit.of("Add a layer of the chords", song -> withLayer(song, octaves, without));
  }

  /** Takes a part away. */
  public Edit remove() {
    return Edit.of(
        "Take a part away",
        song -> song.withParts(song.parts().stream().filter(p -> !p.id().equals(part)).toList()));
  }

  private Song withLayer(Song song, int octaves, Set<ChordMember> without) {
    Part model = song.part(part).orElseThrow();
    int number = 1;
    while (song.part("layer-" + number).isPresent()) {
      number++;
    }
    Mix mix = model.mix().withLevel(Math.max(Mix.SILENT, model.mix().level() - LAYER_BELOW));
    Part layer =
        new Part(
            "layer-" + number,
            "Layer " + number,
            Role.CHORDS,
            model.program(),
            model.patch(),
            mix,
            Map.of(),
            model.variants());
    FollowRule.Layer share = new FollowRule.Layer(octaves, without);
    List<Part> parts = new ArrayList<>(song.parts());
    parts.add(
        parts.indexOf(model) + 1,
        layer.withRule(FollowRule.Chords.class, rule -> rule.withLayer(share)));
    return song.withParts(parts).withForm(beside(song.form(), layer.id()));
  }

  private Form beside(Form form, String layer) {
    return new Form(form.sections().stream().map(section -> beside(section, layer)).toList());
  }

  private Section beside(Section section, String layer) {
    Map<String, List<Cell>> cells = new LinkedHashMap<>(section.cells());
    return cells.containsKey(part) ? section.withCells(layer, cells.get(part)) : section;
  }

  private Edit rule(String name, UnaryOperator<FollowRule.Chords> change) {
    return Edit.of(
        name, song -> song.withPart(part, p -> p.withRule(FollowRule.Chords.class, change)));
  }
}
