package westtide.desktop.form;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.desktop.open.Messages;
import westtide.file.OwnFormFile;
import westtide.file.UnusableFileException;
import westtide.song.OwnForm;

/** Plans saved from one's own songs, one small file each in the data folder. */
final class OwnForms {
  private static final Logger LOG = LoggerFactory.getLogger(OwnForms.class);

  private final Messages messages;
  private final Path folder = Path.of(home(), "forms");

  OwnForms(Messages messages) {
    this.messages = messages;
  }

  private static String home() {
    return System.getProperty(
        "west.tide.home", Path.of(System.getProperty("user.home"), ".west-tide").toString());
  }

  List<String> names() {
    return all().stream().map(OwnForm::name).toList();
  }

  Optional<OwnForm> find(String name) {
    return all().stream().filter(one -> one.name().equals(name)).findFirst();
  }

  private List<OwnForm> all() {
    return OwnFormFile.all(folder, told -> LOG.warn("a plan was left out: {}", told));
  }

  void save(OwnForm form) {
    try {
      OwnFormFile.write(form, folder);
      messages.done("The form is kept as \"" + form.name() + "\" among the plans.");
    } catch (UnusableFileException e) {
      messages.failed(e.getMessage());
    }
  }

  void remove(String name) {
    try {
      OwnFormFile.remove(name, folder);
    } catch (UnusableFileException e) {
      messages.failed(e.getMessage());
    }
  }
}
