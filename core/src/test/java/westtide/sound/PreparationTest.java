package westtide.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.MixEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.mix.Duck;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;
import westtide.song.pattern.Pattern;
import westtide.sound.desk.Track;

class PreparationTest {
  private final Preparation preparation = new Preparation(48_000);

  private Track track(Song song, String part) {
    return preparation.prepare(Score.of(song), Audible.ALL).parts().stream()
        .filter(each -> each.id().value().equals(part))
        .findFirst()
        .orElseThrow()
        .track();
  }

  private static Song song(Part... parts) {
    return Songs.oneHook(Songs.brief("C minor", 50), "Cm", 2, parts);
  }

  private static Part line(String instrument, Note... notes) {
    return Songs.part("line", Role.LINE, new Pattern.Written(2, List.of(notes)))
        .withPatch(new Patch(instrument, Map.of()), 0);
  }

  @Test
  void equalStrikesShareATable() {
    Track track =
        track(song(line("bell", new Note(0, 480, 70, 100), new Note(960, 480, 70, 103))), "line");
    assertThat(track.tables()[0]).isSameAs(track.tables()[1]);
    assertThat(track.left()[1]).as("louder by velocity").isGreaterThan(track.left()[0]);
  }

  @Test
  void anotherForceOrPitchIsAnotherTable() {
    Track track =
        track(
            song(
                line(
                    "bell",
                    new Note(0, 480, 70, 100),
                    new Note(960, 480, 70, 30),
                    new Note(1920, 480, 71, 100))),
            "line");
    assertThat(Arrays.stream(track.tables()).distinct()).hasSize(3);
  }

  @Test
  void anEditKeepsTheTablesOfWhatItLeaves() {
    Song before = Songs.draft("trap", 2);
    Track keys = track(before, "keys");
    Song after = MixEdits.mix(PartId.of("lead"), "level", mix -> mix.withLevel(-200)).apply(before);
    Track again = track(after, "keys");
    for (int i = 0; i < keys.size(); i++) {
      assertThat(again.tables()[i]).isSameAs(keys.tables()[i]);
    }
  }

  @Test
  void aLongerNoteGetsALongerTable() {
    float[] brief = track(song(line("organ", new Note(0, 240, 60, 100))), "line").tables()[0];
    float[] held = track(song(line("organ", new Note(0, 7680, 60, 100))), "line").tables()[0];
    assertThat(held.length).isGreaterThan(48_000 * 4).isGreaterThan(brief.length);
  }

  @Test
  void touchingNotesOfAGlidingInstrumentAreOneEntry() {
    Note[] notes = {
      new Note(0, 960, 60, 90), new Note(960, 960, 64, 90), new Note(2880, 960, 67, 90)
    };
    assertThat(track(song(line("lead", notes)), "line").starts()).containsExactly(0, 2880);
    Part straight = line("lead", notes).withPatch(Patch.of("lead").with("glide", 0), 81);
    assertThat(track(song(straight), "line").starts()).containsExactly(0, 960, 2880);
  }

  @Test
  void kicksAreKnownEvenWhenTheyAreMuted() {
    Part drums =
        Songs.part("drums", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x...x...x...x..."));
    Part ducked =
        line("bell").withMix(Mix.PLAIN.withDuck(Duck.NONE.withTrigger(Duck.Trigger.KICK)));
    PreparedScore ready =
        preparation.prepare(
            Score.of(song(drums, ducked)),
            Audible.ALL.toggleMute("drums").toggleMute("drums/KICK"));
    assertThat(ready.parts().get(1).strip().triggers()).hasSize(8).startsWith(0, 960, 1920, 2880);
    assertThat(ready.parts().get(0).track().size()).isZero();
  }

  @Test
  void hatsChokeEachOtherAndKicksDoNot() {
    Part drums =
        Songs.part(
            "drums",
            Role.DRUMS,
            Songs.groove(
                1,
                DrumVoice.KICK,
                "x...............",
                DrumVoice.OPEN_HAT,
                "..x.............",
                DrumVoice.CLOSED_HAT,
                "....x..........."));
    Track track = track(song(drums), "drums");
    assertThat(track.chokes()).startsWith(0, 1, 1);
    assertThat(track.struck()[0]).isTrue();
    assertThat(track.middle()).as("hats stand aside").isFalse();
  }

  @Test
  void aPartThatIsGoneKeepsItsChannelWithNothingToPlay() {
    Song both = song(line("bell", new Note(0, 480, 70, 100)));
    PreparedScore first = preparation.prepare(Score.of(both), Audible.ALL);
    PreparedScore second = preparation.prepare(Score.of(Songs.draft("house", 1)), Audible.ALL);
    PreparedScore.Prepared gone =
        second.parts().stream()
            .filter(part -> part.id().value().equals("line"))
            .findFirst()
            .orElseThrow();
    assertThat(gone.channel()).isSameAs(first.parts().get(0).channel());
    assertThat(gone.track().size()).isZero();
  }

  @Test
  void anUnknownInstrumentIsHeardAllTheSame() {
    Track track = track(song(line("theremin of the future", new Note(0, 480, 60, 100))), "line");
    assertThat(track.tables()[0].length).isPositive();
  }

  @Test
  void aTrialIsOneNoteAndNothingForADrumTheKitLacks() {
    Part drums =
        Songs.part("drums", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x..............."));
    Audition kick = preparation.trial(drums, 36, 100, 200).orElseThrow();
    assertThat(kick.holdFrames()).as("a drum rings out").isEqualTo(kick.table().length);
    assertThat(preparation.trial(drums, 81, 100, 200)).isEmpty();
    Audition organ = preparation.trial(line("organ"), 60, 100, 250).orElseThrow();
    assertThat(organ.holdFrames()).isEqualTo(12_000);
  }

  @Test
  void aloneAndMutedAreKeptApart() {
    Audible audible = Audible.ALL.toggleAlone("keys").toggleMute("bass");
    assertThat(audible.part("keys")).isTrue();
    assertThat(audible.part("lead")).isFalse();
    assertThat(audible.toggleAlone("keys").part("lead")).isTrue();
    assertThat(audible.toggleAlone("keys").part("bass")).isFalse();
    Audible lane = Audible.ALL.toggleAlone("drums/SNARE");
    assertThat(lane.part("drums")).isTrue();
    assertThat(lane.lane("drums/SNARE")).isTrue();
    assertThat(lane.lane("drums/KICK")).isFalse();
    assertThat(lane.part("keys")).isFalse();
  }

  /** Arithmetic: 50 cents are a ratio of the 24th root of 2, so A4 at 440 Hz becomes 452.89 Hz. */
  @Test
  void aSongTunedByCentsSoundsThatMuchHigherAndItsDrumsDoNot() {
    Song song = song(line("bell", new Note(0, 3840, 69, 100)));
    Song tuned = BriefEdits.cents(50).apply(song);
    float[] plain = track(song, "line").tables()[0];
    float[] higher = track(tuned, "line").tables()[0];
    assertThat(Spectrum.peakNear(plain, 9600, 48_000, 48_000, 440)).isCloseTo(440, within(1.0));
    assertThat(Spectrum.peakNear(higher, 9600, 48_000, 48_000, 452.89))
        .isCloseTo(452.89, within(1.0));
    Part drums =
        Songs.part("drums", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x..............."));
    assertThat(track(BriefEdits.cents(50).apply(song(drums)), "drums").tables()[0])
        .isEqualTo(track(song(drums), "drums").tables()[0]);
  }
}
