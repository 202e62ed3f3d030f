/** The spaces a sound is sent to. */
package westtide.sound.reverb;
