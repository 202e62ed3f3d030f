/** Playing the open song: transport, touching notes, meters, and listening with care. */
package westtide.desktop.play;
