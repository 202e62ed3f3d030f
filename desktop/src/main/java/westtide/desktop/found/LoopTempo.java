package westtide.desktop.found;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.SongView;
import westtide.rhythm.Tempo;
import westtide.song.Role;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;

/** Says what another tempo of the song does to loops that are played faster or slower with it. */
public final class LoopTempo {
  private static final String SAID = "At the new tempo ";

  private final Messages messages;
  private Optional<Tempo> before = Optional.empty();

  private LoopTempo(Messages messages) {
    this.messages = messages;
  }

  /** Watches the open song. */
  public static void watch(OpenSong open, Messages messages) {
    LoopTempo told = new LoopTempo(messages);
    open.watchOpening(() -> told.before = Optional.empty());
    open.watch(told::show);
  }

  private void show(SongView view) {
    Tempo now = view.song().brief().tempo();
    if (before.filter(was -> !was.equals(now)).isPresent()) {
      tell(view, now);
    }
    before = Optional.of(now);
  }

  private void tell(SongView view, Tempo now) {
    String loops =
        view.song().parts(Role.FOUND).stream()
            .filter(part -> way(part.found().orElseThrow()) == Fit.Way.REPITCH)
            .map(part -> part.name() + moved(part.found().orElseThrow(), now))
            .collect(Collectors.joining(", "));
    if (!loops.isEmpty()) {
      messages.notice(SAID + loops + ". Stretch keeps its pitch: Lines, how it fits.");
    }
  }

  private static Fit.Way way(FoundSound sound) {
    return sound.fit().way();
  }

  private static String moved(FoundSound sound, Tempo now) {
    return String.format(
            Locale.ROOT, " sounds %+.2f semitones from its recording", sound.semitones(now))
        .replace('-', '−');
  }
}
