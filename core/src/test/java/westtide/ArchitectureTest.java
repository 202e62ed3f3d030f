package westtide;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SliceAssignment;
import com.tngtech.archunit.library.dependencies.SliceIdentifier;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/**
 * The house of docs/architecture.md: no interface code in the core, packages in their order, no
 * cycles.
 */
class ArchitectureTest {
  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("westtide");

  /** Every package by its full name, so that none hides a cycle inside it. */
  private static final SliceAssignment BY_FULL_NAME =
      new SliceAssignment() {
        @Override
        public SliceIdentifier getIdentifierOf(JavaClass each) {
          return SliceIdentifier.of(each.getPackageName());
        }

        @Override
        public String getDescription() {
          return "packages";
        }
      };

  /** What each package may use. */
  private static final Map<String, List<String>> ALLOWED =
      new TreeMap<>(
          Map.ofEntries(
              Map.entry("theory", List.of()),
              Map.entry("rhythm", List.of("text")),
              Map.entry("text", List.of()),
              Map.entry("song", List.of("text", "theory", "rhythm")),
              Map.entry("json", List.of("text", "song", "theory", "rhythm")),
              Map.entry("style", List.of("text", "json", "song", "theory", "rhythm")),
              Map.entry("follow", List.of("text", "song", "theory", "rhythm")),
              Map.entry("score", List.of("text", "follow", "song", "theory", "rhythm")),
              Map.entry("compose", List.of("text", "song", "style", "follow", "theory", "rhythm")),
              Map.entry("sound", List.of("text", "score", "song", "theory", "rhythm")),
              Map.entry("found", List.of("text", "sound", "score", "song", "theory", "rhythm")),
              Map.entry(
                  "crate",
                  List.of(
                      "text", "draft", "compose", "level", "found", "sound", "score", "style",
                      "song", "theory", "rhythm")),
              Map.entry("play", List.of("text", "sound", "score", "song", "theory", "rhythm")),
              Map.entry(
                  "level", List.of("text", "score", "sound", "style", "song", "theory", "rhythm")),
              Map.entry(
                  "draft",
                  List.of("compose", "level", "style", "song", "theory", "rhythm", "text")),
              Map.entry(
                  "review",
                  List.of(
                      "text", "follow", "score", "compose", "level", "sound", "style", "song",
                      "theory", "rhythm")),
              Map.entry(
                  "file",
                  List.of(
                      "text", "json", "style", "score", "sound", "found", "song", "theory",
                      "rhythm"))));

  @Test
  void theCoreKnowsNoInterface() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("java.awt..", "javax.swing..", "javafx..", "westtide.desktop..")
        .check(CORE);
  }

  @Test
  void packagesUseOnlyWhatStandsBeforeThem() {
    for (Map.Entry<String, List<String>> entry : ALLOWED.entrySet()) {
      List<String> others = new ArrayList<>(ALLOWED.keySet());
      others.remove(entry.getKey());
      others.removeAll(entry.getValue());
      String[] forbidden =
          others.stream().map(name -> "westtide." + name + "..").toArray(String[]::new);
      noClasses()
          .that()
          .resideInAPackage("westtide." + entry.getKey() + "..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(forbidden)
          .check(CORE);
    }
  }

  @Test
  void theDocumentKnowsNothingOfItsEdits() {
    noClasses()
        .that()
        .resideInAPackage("westtide.song")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("westtide.song.edit..")
        .check(CORE);
  }

  @Test
  void noPackageIsPartOfACycle() {
    slices().assignedFrom(BY_FULL_NAME).should().beFreeOfCycles().check(CORE);
  }

  /** The audio thread waits for nobody; only the player's door, on the other side, may park it. */
  @Test
  void whatTheAudioThreadRunsHasNoLocks() {
    noClasses()
        .that()
        .resideInAnyPackage("westtide.sound..")
        .or()
        .haveNameMatching("westtide\\.play\\.(Playback|Metronome|PlaybackMeters|SilentOutput)")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("java.util.concurrent.locks")
        .check(CORE);
    noMethods()
        .that()
        .areDeclaredInClassesThat()
        .resideInAnyPackage("westtide.sound..", "westtide.play..")
        .should()
        .haveModifier(JavaModifier.SYNCHRONIZED)
        .check(CORE);
  }
}
