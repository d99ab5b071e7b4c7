'use client';

import { type ReactNode, useContext } from 'react';
import { HouseContext } from './houseContext';

const AND = new Intl.ListFormat('en-GB', { type: 'disjunction' });

/** "Only a cook can do that. Ask Isla or Tam." */
export const askACook = (cooks: readonly string[]): string =>
  `Only a cook can do that. Ask ${cooks.length === 0 ? 'a cook' : AND.format(cooks)}.`;

/** Whether whoever looks may tell a command of this kind. */
export function useMay(): (type: string) => boolean {
  const { refused } = useContext(HouseContext);
  return (type) => !refused.includes(type);
}

/** Shows what tells a command only to who may tell it. */
export const IfMay = ({ type, children }: { type: string; children: ReactNode }) =>
  useMay()(type) ? children : null;

/** A page that is for doing something: who may not do it is told whom to ask. */
export function OnlyWhoMay({ type, children }: { type: string; children: ReactNode }) {
  const { cooks } = useContext(HouseContext);
  if (useMay()(type)) return children;
  return (
    <p role="status" className="card mx-auto mt-6 max-w-xl p-6 text-lg">
      {askACook(cooks)}
    </p>
  );
}
