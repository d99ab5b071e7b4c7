import { sayPlainDate } from '../calendar/sayDate';
import type { Food } from '../foods/food';
import type { HistoryEvent } from '../keeping/history';
import { isStart, START_WORDS } from '../keeping/startDates';
import type { Package } from '../ledger/package';
import { sayAmount } from '../units/sayAmount';
import { thenDo } from './thenDo';

/** What stands on one label. */
export interface LabelText {
  name: string;
  amount: string;
  code: string;
  happened: string;
  due: string;
  thenDo: string;
}

/** Events that are no news on a label. */
const UNTOLD: readonly HistoryEvent['did'][] = ['moved', 'counter', 'washed', 'found-turning', 'found-bad'];

function happenedLine(history: readonly HistoryEvent[]): string {
  const told = [...history].reverse().find(({ did }) => !UNTOLD.includes(did));
  if (!told) return '';
  const word = isStart(told.did)
    ? START_WORDS[told.did]
    : told.did === 'thawing'
      ? 'thawing since'
      : told.did;
  return `${word} ${sayPlainDate(told.on)}`;
}

/** What stands on the label of a package: both dates, what to do with it, and the cook's own note before that. */
export function labelText(item: Package, food: Food | undefined): LabelText {
  const kind = item.governingKind === 'use-by' ? 'use by' : 'best by';
  const about = item.note.startsWith('about') ? 'about ' : '';
  const told = [
    item.note.replace(/^about, by eye( · )?/, ''),
    food ? thenDo(food, item.state, item.openedOn !== null) : '',
  ];
  return {
    name: item.called,
    amount: [about + sayAmount(item.amount, item.unit), item.form ?? '']
      .filter((part) => part !== '')
      .join(' · '),
    code: item.code,
    happened: happenedLine(item.history),
    due: `${kind} ${sayPlainDate(item.governingDate)}`,
    thenDo: told.filter((part) => part !== '').join(' · '),
  };
}
