package westtide.style;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import westtide.rhythm.Feel;
import westtide.song.form.SectionKind;
import westtide.theory.Key;

/**
 * A style and what it prefers.
 *
 * @param id what songs and the command line call it, such as {@code "boom-bap"}
 * @param name what people call it
 * @param summary one sentence
 * @param tempo usual BPM
 * @param feel where the backbeat puts the felt tempo
 * @param swing usual swing in percent
 * @param keys usual keys, the first to begin with
 * @param chords its harmony
 * @param groove its drums
 * @param keysPart its chord part
 * @param lead its lead line
 * @param sub its 808
 * @param bass its bass
 * @param sound its instruments in the preview
 * @param form its forms
 * @param boundaries how each kind of section is announced and landed, the most usual way first
 * @param ensemble who plays beside the first five parts, and how all stand in the mix
 * @param checklist names of the points a finished song in the style usually meets
 * @param reasons every preference in words
 */
public record Style(
    String id,
    String name,
    String summary,
    Span tempo,
    Feel feel,
    Span swing,
    List<Key> keys,
    ChordHabit chords,
    GrooveHabit groove,
    PartHabit.Keys keysPart,
    PartHabit.Lead lead,
    PartHabit.Bass808 sub,
    PartHabit.Bass bass,
    SoundHabit sound,
    FormHabit form,
    Map<SectionKind, List<BoundaryHabit>> boundaries,
    EnsembleHabit ensemble,
    List<String> checklist,
    List<Reason> reasons) {
  private static final Pattern ID = Pattern.compile("[\\p{L}\\p{N}_-]{1,64}");

  /** Checks the id, which is also the name of its file, and copies the lists. */
  public Style {
    if (!ID.matcher(id).matches()) {
      throw new IllegalArgumentException(
          "a style's id has 1 to 64 letters, digits, - and _, but was \"" + id + "\"");
    }
    keys = List.copyOf(keys);
    boundaries = Collections.unmodifiableMap(new LinkedHashMap<>(boundaries));
    checklist = List.copyOf(checklist);
    reasons = List.copyOf(reasons);
  }

  /**
   * Reads a style from its JSON document.
   *
   * @throws IllegalArgumentException when something is missing or not understood; the message names
   *     it
   */
  public static Style read(JsonNode json) {
    return StyleFields.read(json);
  }

  /** Why it prefers what it does in one matter, such as {@code "Tempo"} or {@code "Closed hat"}. */
  public Optional<String> why(String topic) {
    return reasons.stream()
        .filter(reason -> reason.topic().equals(topic))
        .map(Reason::why)
        .findFirst();
  }

  /** The style as a JSON document that {@link #read} reads. */
  public ObjectNode write() {
    return StyleFields.write(this);
  }

  /** The same style at other tempos. */
  public Style withTempo(Span other) {
    return with(id, name, summary, other, reasons);
  }

  /** The same style under another id, name and summary. */
  public Style named(String otherId, String otherName, String otherSummary) {
    return with(otherId, otherName, otherSummary, tempo, reasons);
  }

  /** The same style for these reasons. */
  Style withReasons(List<Reason> others) {
    return with(id, name, summary, tempo, others);
  }

  private Style with(
      String otherId,
      String otherName,
      String otherSummary,
      Span otherTempo,
      List<Reason> otherReasons) {
    return new Style(
        otherId,
        otherName,
        otherSummary,
        otherTempo,
        feel,
        swing,
        keys,
        chords,
        groove,
        keysPart,
        lead,
        sub,
        bass,
        sound,
        form,
        boundaries,
        ensemble,
        checklist,
        otherReasons);
  }
}
