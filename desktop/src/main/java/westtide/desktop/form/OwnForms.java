package westtide.desktop.form;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.desktop.open.Messages;
import westtide.file.OwnFormFile;
import westtide.file.disk.UnusableFileException;
import westtide.song.OwnForm;

/** Plans saved from one's own songs, one small file each in the data folder. */
final class OwnForms {
  private static final Logger LOG = LoggerFactory.getLogger(OwnForms.class);

  private final Messages messages;
  private final Path folder;
  private Optional<List<OwnForm>> read = Optional.empty();

  /** The plans of a folder, which are read when they are first asked for. */
  OwnForms(Path folder, Messages messages) {
    this.folder = folder;
    this.messages = messages;
  }

  List<String> names() {
    return all().stream().map(OwnForm::name).toList();
  }

  Optional<OwnForm> find(String name) {
    return all().stream().filter(one -> one.name().equals(name)).findFirst();
  }

  private List<OwnForm> all() {
    if (read.isEmpty()) {
      read =
          Optional.of(OwnFormFile.all(folder, told -> LOG.warn("a plan was left out: {}", told)));
    }
    return read.get();
  }

  void save(OwnForm form) {
    try {
      OwnFormFile.write(form, folder);
      read = Optional.empty();
      messages.done("The form is kept as \"" + form.name() + "\" among the plans.");
    } catch (UnusableFileException e) {
      messages.failed(e.getMessage());
    }
  }

  void remove(String name) {
    try {
      OwnFormFile.remove(name, folder);
      read = Optional.empty();
    } catch (UnusableFileException e) {
      messages.failed(e.getMessage());
    }
  }
}
