import { notFound } from 'next/navigation';

/** Any address that no place has: the not-found page inside the kitchen's own layout. */
export default function Missing(): never {
  notFound();
}
