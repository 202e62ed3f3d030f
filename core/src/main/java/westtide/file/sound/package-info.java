/** Recordings from files and into files: WAV, AIFF and FLAC in, WAV out. */
package westtide.file.sound;
