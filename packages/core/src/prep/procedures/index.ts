import type { Hardware } from '../../record/hardware.ts';
import type { Procedure } from '../../record/procedure.ts';
import { GENERIC_CLOSING } from './closing.ts';
import { GENERIC_OPENING } from './opening.ts';

/** The generic procedure of a form of hardware, to begin with. */
export const genericProcedure = (form: Hardware['form']): Procedure => ({
  opening: [...GENERIC_OPENING[form]],
  closing: [...GENERIC_CLOSING[form]],
});

/** The procedure by which hardware is worked on: its own, or that of its form. */
export const procedureOf = ({ procedure, form }: Pick<Hardware, 'procedure' | 'form'>): Procedure =>
  procedure ?? genericProcedure(form);
