/**
 * What a sound that was brought in is: where it begins, its tempo, bars, onsets, key and tuning.
 */
package westtide.found;
