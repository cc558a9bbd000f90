import { normalQuantile } from './normal';

/** A 32-bit number from a text (FNV-1a), for seeds that belong to a name. */
export function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}

/** Mixes whole numbers into one 32-bit seed (the finaliser of MurmurHash3 after each), so that near seeds give far streams. */
export function mixSeeds(...parts: number[]): number {
  let hash = 0x9e3779b9;
  for (const part of parts) {
    hash = Math.imul(hash ^ part, 0x85ebca6b);
    hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
    hash ^= hash >>> 16;
  }
  return hash >>> 0;
}

/** A stream of random numbers that is the same on every machine for the same seed (generator: mulberry32). */
export class Stream {
  private state: number;

  constructor(seed: number) {
    this.state = seed >>> 0;
  }

  /** Begins anew from a seed: one stream serves a whole day without an object for each query. */
  reset(seed: number): this {
    this.state = seed >>> 0;
    return this;
  }

  /** Uniform in [0, 1). */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }

  /** Uniform in [low, high). */
  between(low: number, high: number): number {
    return low + (high - low) * this.next();
  }

  /** Whole number in [0, count). */
  below(count: number): number {
    return Math.floor(this.next() * count);
  }

  pick<T>(items: readonly T[]): T {
    return items[this.below(items.length)];
  }

  /** Normal with mean 0 and deviation 1. */
  normal(): number {
    return normalQuantile(Math.max(1e-12, this.next()));
  }

  /** Number of events where `mean` are expected. Above 50 the normal approximation is off by less than a day's noise. */
  poisson(mean: number): number {
    if (mean <= 0) return 0;
    if (mean > 50) return Math.max(0, Math.round(mean + Math.sqrt(mean) * this.normal()));
    let left = this.next();
    let chance = Math.exp(-mean);
    let count = 0;
    while (left >= chance && count < 400) {
      left -= chance;
      count += 1;
      chance *= mean / count;
    }
    return count;
  }

  /** Number of successes in `trials` tries of chance `p`; by inversion, or by the normal where many are expected. */
  binomial(trials: number, p: number): number {
    if (trials <= 0 || p <= 0) return 0;
    if (p >= 1) return trials;
    if (p > 0.5) return trials - this.binomial(trials, 1 - p);
    const mean = trials * p;
    if (mean > 30) {
      const drawn = Math.round(mean + Math.sqrt(mean * (1 - p)) * this.normal());
      return Math.max(0, Math.min(trials, drawn));
    }
    const odds = p / (1 - p);
    let chance = (1 - p) ** trials;
    let left = this.next();
    let count = 0;
    while (left >= chance && count < trials) {
      left -= chance;
      chance *= (odds * (trials - count)) / (count + 1);
      count += 1;
    }
    return count;
  }

  /** A whole number near `mean`, whose average is `mean`. */
  round(mean: number): number {
    const whole = Math.floor(mean);
    return whole + (this.next() < mean - whole ? 1 : 0);
  }
}
