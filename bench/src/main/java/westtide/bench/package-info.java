/** Benchmarks of the core; {@code bench/run} starts them and writes docs/benchmarks.md. */
package westtide.bench;
