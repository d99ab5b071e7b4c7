import { sayDueDate, sayFullDate, sayPastDate, sayPlainDate } from '@/core/calendar/sayDate';
import type { AnswerChoice } from '@/core/firstout/answerChoices';
import { freezeUntil, isAnswered, nextLook, type Stage, stageOn } from '@/core/firstout/askOn';
import { whatIfOne } from '@/core/keeping/whatIf';
import { conditionsOf } from '@/core/ledger/package/conditionsOf';
import { counterOf } from '@/core/ledger/package/judgePackage';
import type { Package } from '@/core/model/package';
import type { HouseholdContext } from '../household/context';
import { freezerCold } from '../haul/freezerCold';
import type { PackageView } from '../stock/packageView';

/** What a package asks, and what may be answered. */
export interface HeadsUp {
  stage: Stage;
  /** "comes near", "last day", "past its date". */
  stage_words: string;
  /** Not for eating: it can only be thrown out. */
  out: boolean;
  /** "planned for Fri"; empty while it asks. */
  answered_words: string;
  /** Choices that a rule forbids now, with the reason. */
  forbidden: Partial<Record<AnswerChoice, string>>;
  /** Until when freezing makes sense and the date it would give; `null`: no more. */
  freeze: { until: string; until_words: string; date: string; date_words: string } | null;
  /** The day a look would be due again. */
  next_look_words: string;
  /** The last day a plan may name. */
  plan_until: string;
}

const STAGE_WORDS: Record<Stage, string> = {
  ahead: 'comes near its date',
  'on-the-day': 'last day',
  past: 'past its date',
};

function freezeOf(
  found: Package,
  { reference, today, household, kitchen, at }: HouseholdContext,
): { freeze: HeadsUp['freeze']; why: string | null } {
  const food = reference.byId.get(found.foodId);
  if (!food || found.state === 'frozen') return { freeze: null, why: 'It is frozen.' };
  const history = [...found.history, ...counterOf(found, { today, at, now: at })];
  const conditions = {
    ...conditionsOf(found, food, household.settings.caution),
    recorded: history.length,
  };
  const frozen = whatIfOne(food, history, conditions, 'freeze', today, freezerCold(kitchen));
  if (frozen.governing === null) return { freeze: null, why: frozen.refused };
  const until = freezeUntil(found, today) ?? today;
  return {
    freeze: {
      until,
      until_words: sayDueDate(until, today),
      date: frozen.governing.date,
      date_words: sayPlainDate(frozen.governing.date),
    },
    why: null,
  };
}

function answeredWords({ answer, governingDate, state }: Package, today: string): string {
  if (!answer || !isAnswered({ answer, governingDate, state })) return '';
  const until = sayDueDate(answer.until, today);
  const day = answer.day ?? (answer.what === 'plan' ? answer.until : answer.on);
  if (answer.what === 'eat-tonight')
    return day === today ? 'to be eaten tonight' : `was to be eaten ${sayPastDate(day, today)}`;
  if (answer.what === 'plan')
    return day === today
      ? 'planned for today'
      : day < today
        ? `was planned for ${sayPastDate(day, today)}`
        : `planned for ${sayDueDate(day, today)}`;
  return answer.until <= today ? 'another look is due' : `looked fine, next look ${until}`;
}

/** The heads-up of a package, whether or not it has been answered. */
export function toHeadsUp(found: Package, view: PackageView, context: HouseholdContext): HeadsUp {
  const { today } = context;
  const stage = stageOn(found.governingDate, today);
  const { freeze, why } = freezeOf(found, context);
  const out = view.verdict === 'discard' ? 'It is not for eating: bin it.' : null;
  const forbidden: HeadsUp['forbidden'] = {
    ...(out ? { 'eat-tonight': out, plan: out, cook: out, give: out } : {}),
    ...(freeze && !out ? {} : { freeze: out ?? why ?? 'It does not freeze.' }),
    ...(found.governingKind === 'use-by'
      ? { 'looked-fine': 'A use by is a safety date: looking does not move it.' }
      : out
        ? { 'looked-fine': out }
        : {}),
  };
  return {
    stage,
    stage_words: STAGE_WORDS[stage],
    out: out !== null,
    answered_words: answeredWords(found, today),
    forbidden,
    freeze: out ? null : freeze,
    next_look_words: sayFullDate(
      nextLook(found, today, context.reference.byId.get(found.foodId)?.fridgeDaysMax ?? null),
    ),
    plan_until: found.useBy ?? (found.bestBy > today ? found.bestBy : today),
  };
}
