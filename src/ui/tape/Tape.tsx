import type { Band } from '@/core/keeping/judgeKeeping';
import type { PackageState } from '@/core/model/history';

const BAND_WORDS: Record<Band, string> = {
  settled: '',
  soon: 'soon',
  today: 'last day',
  past: 'past its date',
};

/**
 * A package as a strip of freezer tape. The shape of its right end tells the band, an ice edge on the left that it is
 * frozen; both are said to a screen reader too.
 */
export function Tape({
  food,
  detail = '',
  band,
  state,
  small = false,
}: {
  food: string;
  detail?: string;
  band: Band;
  state: PackageState;
  /** On the drawing, where many lie close. */
  small?: boolean;
}) {
  const told = [
    state === 'frozen' ? 'frozen' : state === 'thawing' ? 'thawing' : '',
    BAND_WORDS[band],
  ].filter((word) => word !== '');
  return (
    <span
      className={small ? 'tape tape-small' : 'tape'}
      data-band={band}
      data-frozen={state === 'frozen' || state === 'thawing'}
    >
      <span className="truncate">{food}</span>
      {detail !== '' && <span className="font-medium whitespace-nowrap">{detail}</span>}
      {state === 'thawing' && <span className="font-medium">· thawing</span>}
      {told.length > 0 && <span className="sr-only">, {told.join(', ')}</span>}
    </span>
  );
}
