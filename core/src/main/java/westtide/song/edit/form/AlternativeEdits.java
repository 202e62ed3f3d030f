package westtide.song.edit.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.song.Alternatives;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.id.PartId;

/** Edits of the forms that stand side by side. Forms are counted from 0. */
public final class AlternativeEdits {
  private AlternativeEdits() {}

  /** Keeps the form as it is and goes on with a copy of it; three there can be. */
  public static Edit add() {
    return Edit.of(
        "Try another form beside this one",
        song -> {
          List<Form> all = new ArrayList<>(song.alternatives().all(song.form()));
          if (all.size() == Alternatives.MOST) {
            return song;
          }
          all.add(song.form());
          return shown(song, all, all.size() - 1);
        });
  }

  /** Plays another of the forms. */
  public static Edit show(int place) {
    return Edit.of(
        "Go to form " + (place + 1),
        song -> {
          List<Form> all = song.alternatives().all(song.form());
          return place < 0 || place >= all.size() ? song : shown(song, all, place);
        });
  }

  /** Deletes the present form; the last one stays. */
  public static Edit remove() {
    return Edit.of(
        "Delete this form",
        song -> {
          List<Form> all = new ArrayList<>(song.alternatives().all(song.form()));
          if (all.size() == 1) {
            return song;
          }
          int place = song.alternatives().present();
          all.remove(place);
          return shown(song, all, Math.min(place, all.size() - 1));
        });
  }

  /** Takes what a part does in another form: section by section, by their names. */
  public static Edit takePart(int from, PartId part) {
    return Edit.named(
        song ->
            "Take " + song.part(part).map(Part::name).orElse("a part") + " from form " + (from + 1),
        song -> {
          List<Form> all = song.alternatives().all(song.form());
          return from < 0 || from >= all.size() ? song : taken(song, all.get(from), part);
        });
  }

  private static Song taken(Song song, Form other, PartId part) {
    List<Section> out = new ArrayList<>();
    for (int i = 0; i < song.form().sections().size(); i++) {
      Section own = song.form().sections().get(i);
      Optional<Section> like = other.labelled(song.form().label(i));
      out.add(like.map(s -> own.withPartOf(s.withLength(own.length()), part)).orElse(own));
    }
    return song.withForm(new Form(out));
  }

  private static Song shown(Song song, List<Form> all, int place) {
    return song.withAlternatives(all.get(place), Alternatives.around(all, place));
  }
}
