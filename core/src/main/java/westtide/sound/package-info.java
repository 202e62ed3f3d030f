/**
 * Sound: a score enters, samples and measures leave.
 *
 * <p>{@link westtide.sound.Preparation} ties every note to a table of samples made by its
 * instrument; {@link westtide.sound.Engine} mixes tables through the desk block by block; {@link
 * westtide.sound.Transport} moves the song through the engine; {@link westtide.sound.Mixdown}
 * renders a whole song and {@link westtide.sound.Listening} measures one. Making tables takes
 * memory and time and is done beside the audio thread; mixing takes neither.
 */
package westtide.sound;
