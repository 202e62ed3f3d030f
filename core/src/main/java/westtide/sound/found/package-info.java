/** Found sound made to fit: resampled, stretched with its pitch kept, cut into pieces. */
package westtide.sound.found;
