import type { ZoneKind } from '@/core/model/drawing';
import type { Container } from '@/core/model/container';
import { sql } from '@/store/database';
import { readContainers } from '@/store/containers';
import { viewContext } from '../household/context';

/** What the page of containers shows: those the household owns, and the zones they may go into. */
export interface ContainersView {
  containers: Container[];
  zones: {
    id: string;
    name: string;
    appliance: string;
    kind: ZoneKind;
    widthMm: number;
    heightMm: number;
    depthMm: number;
  }[];
}

export async function readContainersView(): Promise<ContainersView> {
  const { household, kitchen } = await viewContext();
  return {
    containers: await readContainers(sql(), household.id),
    zones: kitchen.zones.map(({ id, name, applianceName, kind, widthMm, heightMm, depthMm }) => ({
      id,
      name,
      appliance: applianceName,
      kind,
      widthMm,
      heightMm,
      depthMm,
    })),
  };
}
