import { wishedFood } from '../../foods/wish';
import type { Needs } from '../../model/command';
import type { KeptKind } from '../../model/kept';
import type { PastCommand } from '../../model/decision';
import type { ApplianceDrawing } from '../../model/drawing';
import type { Setting } from '../../model/setting';
import { NO_WISH } from '../../model/wish';
import type { World } from '../../model/world';
import { zonesOf } from './zonesOf';

type Kind = Setting['kind'];
type Of<K extends Kind> = Extract<Setting, { kind: K }>;

/** What there is to know of one kind of setting, so that it can be told, undone and stored without knowing which it is. */
interface SettingKind<K extends Kind> {
  /** How it stands now. @param value as it was told */
  read(world: World, subject: string, value: Of<K>['value']): Of<K>['value'];
  /** What must be fetched before it may go back. */
  needs(subject: string): Needs;
  /** What it goes back to when there was none before; left out: there always was one. */
  whenNone?(value: Of<K>['value']): Of<K>['value'];
  /** The world once it is set; left out: no decision looks at it. */
  apply?(world: World, setting: Of<K>): World;
  /** Dates packages anew, rather than moving them. */
  dates?: true;
  /** Changes the days on which packages ask. */
  asks?: true;
  /** Changes appliances, zones, or what is known of them. */
  kitchen?: true;
  /** Changes the figures of foods that server copies keep. */
  figures?: true;
  /** Why it may not go, though nothing changed it since; `null`: it may. */
  stays?(world: World, subject: string, past: PastCommand['settings'][number]): string | null;
}

/** The world with an appliance drawn otherwise, or not at all. */
function withDrawing(world: World, id: string, drawing: ApplianceDrawing | null): World {
  const drawn = new Map((drawing ? zonesOf(drawing, world) : []).map((zone) => [zone.id, zone]));
  const before = new Set(world.appliance(id)?.drawing.zones.map((zone) => zone.id));
  return {
    ...world,
    hasZone: (zoneId) => drawn.has(zoneId) || (!before.has(zoneId) && world.hasZone(zoneId)),
    zone: (zoneId) => drawn.get(zoneId) ?? world.zone(zoneId),
  };
}

/** A small thing that nothing else depends on. */
const keptKind = <K extends KeptKind>(kind: K) => ({
  read: (world: World, subject: string) => world.kept(kind, subject),
  needs: () => ({ kept: [kind] }),
  whenNone: () => null,
});

const SETTING_KINDS: { readonly [K in Kind]: SettingKind<K> } = {
  household: {
    read: ({ settings }) => settings,
    needs: () => ({ foods: 'all' }),
    apply: (world, { value }) => ({ ...world, settings: value, caution: value.caution }),
    dates: true,
    asks: true,
  },
  food: {
    read: (world, subject) => {
      const { food, retired } = world.referenceFood(subject);
      return { food, retired };
    },
    needs: (subject) => ({ foods: [subject] }),
    whenNone: (value) => ({ ...value, retired: true }),
    dates: true,
    figures: true,
  },
  wish: {
    read: (world, subject) => world.wish(subject),
    needs: (subject) => ({ foods: [subject] }),
    whenNone: () => NO_WISH,
    apply: (world, { subject, value }) => {
      const wished = wishedFood(world.referenceFood(subject).food, value);
      return {
        ...world,
        wish: (id) => (id === subject ? value : world.wish(id)),
        food: (id) => (id === subject ? wished : world.food(id)),
      };
    },
    dates: true,
    asks: true,
    figures: true,
  },
  job: {
    read: (world, subject) => world.job(subject),
    needs: () => ({ jobs: true }),
    whenNone: (value) => ({ ...value, retired: true }),
  },
  appliance: {
    read: (world, subject) => world.appliance(subject)?.drawing ?? null,
    needs: (subject) => ({ appliances: [subject] }),
    kitchen: true,
    whenNone: () => null,
    apply: (world, { subject, value }) => withDrawing(world, subject, value),
  },
  order: { read: (world) => world.order(), needs: () => ({}), kitchen: true },
  measured: {
    read: (world, subject) => world.measured(subject),
    needs: (subject) => ({ zones: [subject] }),
    kitchen: true,
    whenNone: () => null,
    apply: (world, { subject, value }) => ({
      ...world,
      measured: (id) => (id === subject ? value : world.measured(id)),
      zone: (id) => {
        const zone = world.zone(id);
        return id === subject ? { ...zone, temperatureC: value?.celsius ?? zone.assumedC } : zone;
      },
    }),
  },
  reading: {
    // Each stands by itself; nothing sets it to something else.
    read: (_world, _subject, value) => value,
    needs: (subject) => ({ zones: [subject] }),
    whenNone: ({ at }) => ({ celsius: null, at }),
  },
  container: {
    read: (world, subject) => world.container(subject),
    needs: () => ({ containers: true }),
    whenNone: () => null,
  },
  haul: {
    read: (world, subject) => world.haul(subject),
    needs: (subject) => ({ hauls: [subject] }),
    whenNone: () => null,
    stays: (world, subject, { before }) =>
      before === null && world.haulLines(subject).length > 0
        ? 'There are lines in this haul already; take them off first.'
        : null,
  },
  'haul-line': {
    read: (world, subject) => world.haulLine(subject),
    needs: (subject) => ({ lines: [subject] }),
    whenNone: () => null,
  },
  level: keptKind('level'),
  shopping: keptKind('shopping'),
  asking: keptKind('asking'),
  kit: keptKind('kit'),
  sheet: keptKind('sheet'),
  cut: {
    ...keptKind('cut'),
    needs: () => ({ kept: ['cut', 'cut-decided'] }),
    stays: (world, subject, { before }) =>
      before === null && world.keptAll('cut-decided').some(({ cut }) => cut === subject)
        ? 'Something was decided in this power cut already; undo that first.'
        : null,
  },
  'cut-reading': keptKind('cut-reading'),
  'cut-opening': keptKind('cut-opening'),
  'cut-seen': keptKind('cut-seen'),
  'cut-decided': keptKind('cut-decided'),
  'cut-plan': keptKind('cut-plan'),
  drill: keptKind('drill'),
  thermometer: keptKind('thermometer'),
  meal: {
    ...keptKind('meal'),
    apply: (world, { subject, value }) => ({
      ...world,
      kept: (kind, id) => (kind === 'meal' && id === subject ? (value as never) : world.kept(kind, id)),
    }),
  },
  rhythm: keptKind('rhythm'),
  round: keptKind('round'),
  looked: {
    ...keptKind('looked'),
    needs: (subject) => ({ keptUnder: { looked: [subject] } }),
  },
  'round-rhythm': keptKind('round-rhythm'),
  reset: keptKind('reset'),
  'log-day': {
    ...keptKind('log-day'),
    needs: (subject) => ({ keptUnder: { 'log-day': [subject] } }),
  },
  'shop-order': keptKind('shop-order'),
  'lot-look': {
    ...keptKind('lot-look'),
    // Another of the lot may have asked since; what asked first goes all the same.
    read: (_world, _subject, value) => value,
    needs: (subject) => ({ keptUnder: { 'lot-look': [subject] } }),
  },
  code: {
    read: (world, subject) => world.learnedCode(subject),
    needs: (subject) => ({ codes: [subject] }),
    whenNone: () => null,
  },
};

/** The kind of a setting; which of them it is matters to nobody above. */
export const settingKind = ({ kind }: Pick<Setting, 'kind'>): SettingKind<Kind> =>
  SETTING_KINDS[kind] as unknown as SettingKind<Kind>;
