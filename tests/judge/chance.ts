/** Seeded chance for generated cases: the same seed gives the same cases. */
export class Chance {
  constructor(private state: number) {}

  /** From 0 up to 1. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(this.state ^ (this.state >>> 15), this.state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  }

  /** A whole number from `least` to `most`, both among them. */
  whole(least: number, most: number): number {
    return least + Math.floor(this.next() * (most - least + 1));
  }

  of<Item>(items: readonly Item[]): Item {
    return items[Math.floor(this.next() * items.length)] as Item;
  }

  may(share: number): boolean {
    return this.next() < share;
  }
}
