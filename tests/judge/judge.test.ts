import { Chance } from './chance';
import { runChain, runTwins } from './chains';
import { checkCutLaws, compareCuts } from './cuts';
import { runLife } from './lives';
import { compareHistories } from './histories';

// A small share of `npm run judge`, which runs a million cases and a hundred thousand chains.
describe('the rules, read a second time', () => {
  it('gives the same dates for generated histories, or the same refusal', () => {
    const found = compareHistories(new Chance(20_261), 15_000);
    expect(found).toMatchObject({ milder: 0, different: 0, first: '' });
    expect(found.refused).toBeGreaterThan(300);
  });

  it('gives the same verdicts after generated power cuts', () => {
    expect(compareCuts(new Chance(20_262), 1500)).toMatchObject({ milder: 0, different: 0, first: '' });
  });
});

describe('laws over whole chains of commands', () => {
  it('hold after every command, undo and redo: dates as the rules say, caps, minutes, previews, parts', () => {
    let steps = 0;
    for (let seed = 1; seed <= 700; seed++) steps += runChain(new Chance(seed));
    expect(steps).toBeGreaterThan(1200);
  });

  it('what comes back by an undo is never dated later than its twin', () => {
    let compared = 0;
    for (let seed = 1; seed <= 700; seed++) compared += runTwins(new Chance(seed)) ? 1 : 0;
    expect(compared).toBeGreaterThan(100);
  });

  it('of power cuts: what is read late counts for nothing, what is worse is never judged milder', () => {
    checkCutLaws(new Chance(20_263), 1000);
  });
});

it('lives of households: told late is no milder, a cut helps nothing, what may not be eaten is offered nowhere', () => {
  const sums = { deeds: 0, late: 0, cuts: 0 };
  for (let seed = 1; seed <= 600; seed++) {
    const life = runLife(new Chance(seed), true);
    sums.deeds += life.deeds;
    sums.late += life.late;
    sums.cuts += life.cuts;
  }
  expect(sums.deeds).toBeGreaterThan(3000);
  expect(sums.late).toBeGreaterThan(200);
  expect(sums.cuts).toBeGreaterThan(400);
});
