/**
 * What is done to samples on their way: filters, saturation, chorus and phaser, echo, compressor,
 * limiter.
 */
package westtide.sound.effect;
