/**
 * The preview instruments and drum kits, each made by calculation alone.
 *
 * <p>{@link westtide.sound.instrument.InstrumentBook} lists them; every recipe builds a {@code
 * Sample} from modes, waves and noise.
 */
package westtide.sound.instrument;
