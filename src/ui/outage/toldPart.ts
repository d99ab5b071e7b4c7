import type { CutPart } from '@/core/model/cut';

/** A part as the door takes it: what is known of it, and what changes. @param looked its telltale was looked at just now */
export function toldPart(part: CutPart, change: Partial<CutPart> = {}, looked = false) {
  const { id, called, kind, drawn, fill, doors, telltale, roomC, iceKg, waterKg } = { ...part, ...change };
  return {
    ...{ id, fill, doors, telltale, roomC, iceKg, waterKg },
    ...(drawn ? {} : { called, kind }),
    ...(looked ? { looked } : {}),
  };
}
