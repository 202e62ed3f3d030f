/** WAV files: a score rendered to its mix and to stems, all in one pass. */
package westtide.file.audio;
