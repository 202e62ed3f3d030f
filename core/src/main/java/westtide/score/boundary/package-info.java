/** Boundaries of sections in the score: silences, marks, runs, sweeps and held ends. */
package westtide.score.boundary;
