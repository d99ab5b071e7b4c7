import { type Form } from '../../model/intakeLine';
import type { Reader } from '../quickDraft';
import { FORM_WORDS, WRAP_WORDS } from '../quickWords';

/** "flat", "vacuum", "raw": the shape, what it is packed in, whether it was blanched. */
export const readForm: Reader = (draft, token) => {
  const wrap = Object.hasOwn(WRAP_WORDS, token.lower) ? WRAP_WORDS[token.lower] : undefined;
  const form: Form | undefined = Object.hasOwn(FORM_WORDS, token.lower) ? FORM_WORDS[token.lower] : undefined;
  if (wrap) {
    draft.line.wrap = wrap;
    draft.part('wrap', token, token.to, `in ${wrap.replace('-', ' ')}`);
  } else if (form) {
    draft.line.form = form;
    draft.part('form', token, token.to, form);
  } else if (token.lower === 'raw' || token.lower === 'unblanched' || token.lower === 'blanched') {
    draft.line.blanched = token.lower === 'blanched';
    draft.part('form', token, token.to, draft.line.blanched ? 'blanched' : 'not blanched');
  } else return 0;
  return 1;
};
