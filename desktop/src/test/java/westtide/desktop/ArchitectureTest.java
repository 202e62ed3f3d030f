package westtide.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.Architectures;
import org.junit.jupiter.api.Test;

/** The rooms of docs/architecture.md: packages in their order, rooms apart from each other. */
class ArchitectureTest {
  private static final String[] ROOMS = {
    "brief", "chords", "drums", "lowend", "lines", "form", "levels", "deliver"
  };
  private static final JavaClasses DESKTOP =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("westtide.desktop");

  private static String[] rooms() {
    return java.util.Arrays.stream(ROOMS)
        .map(room -> "westtide.desktop." + room + "..")
        .toArray(String[]::new);
  }

  @Test
  void packagesUseOnlyWhatStandsBeforeThem() {
    Architectures.layeredArchitecture()
        .consideringOnlyDependenciesInLayers()
        .layer("kit")
        .definedBy("westtide.desktop.kit..")
        .layer("open")
        .definedBy("westtide.desktop.open..")
        .layer("files")
        .definedBy("westtide.desktop.files..")
        .layer("play")
        .definedBy("westtide.desktop.play..")
        .layer("room")
        .definedBy("westtide.desktop.room..")
        .layer("line")
        .definedBy("westtide.desktop.line..")
        .layer("rooms")
        .definedBy(rooms())
        .layer("frame")
        .definedBy("westtide.desktop.frame..")
        .layer("shell")
        .definedBy("westtide.desktop")
        .whereLayer("shell")
        .mayNotBeAccessedByAnyLayer()
        .whereLayer("frame")
        .mayOnlyBeAccessedByLayers("shell")
        .whereLayer("rooms")
        .mayOnlyBeAccessedByLayers("frame", "shell")
        .whereLayer("line")
        .mayOnlyBeAccessedByLayers("rooms")
        .whereLayer("room")
        .mayOnlyBeAccessedByLayers("line", "rooms", "frame", "shell")
        .whereLayer("files")
        .mayOnlyBeAccessedByLayers("room", "line", "rooms", "frame", "shell")
        .whereLayer("play")
        .mayOnlyBeAccessedByLayers("room", "line", "rooms", "frame", "shell")
        .whereLayer("open")
        .mayOnlyAccessLayers("kit")
        .whereLayer("kit")
        .mayNotAccessAnyLayer()
        .check(DESKTOP);
  }

  @Test
  void noRoomKnowsAnother() {
    slices()
        .matching("westtide.desktop.(brief|chords|drums|lowend|lines|form|levels|deliver)..")
        .should()
        .notDependOnEachOther()
        .check(DESKTOP);
  }

  @Test
  void roomsAreWindowsOnTheirOwn() {
    classes()
        .that()
        .haveSimpleNameEndingWith("Room")
        .and()
        .resideInAnyPackage(rooms())
        .should()
        .implement("westtide.desktop.room.Room")
        .check(DESKTOP);
  }
}
