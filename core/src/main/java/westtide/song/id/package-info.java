/** By what parts and sections are known inside a song; never shown to a person. */
package westtide.song.id;
