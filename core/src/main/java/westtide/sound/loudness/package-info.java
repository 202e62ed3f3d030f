/** Loudness by ITU-R BS.1770: samples enter, LUFS leave. */
package westtide.sound.loudness;
