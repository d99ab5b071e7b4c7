/** Whole produce, and what it is once it is cut. */
const CUT: Readonly<Record<string, string>> = {
  'whole-fruit': 'cut-fruit',
  'raw-vegetables': 'packaged-greens',
};

/** O15: opened or cut produce is judged as what is sold cut. @param id of an outage class */
export const openedClass = (id: string, opened: boolean): string => (opened ? (CUT[id] ?? id) : id);
