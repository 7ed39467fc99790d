import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/CablesPage.tsx`. */
export const cablesPage = phrases({
  importingASpliceListAddsIts: 'Importing a splice list adds its cables; or add one here.',
  addACable: 'Add a cable',
  cableName: 'Cable name',
  modeFieldAt1310NmUm: 'Mode field at 1310 nm, um',
  modeFieldInUm: 'Mode field in um',
  modeFieldTypeItInUm: 'Mode field: type it in um, such as 9.2. {message}',
  noCableYet: 'No cable yet',
  thereIsACableAlreadyChoose: 'There is a cable {data} already: choose another name.',
});
