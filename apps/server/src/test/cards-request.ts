import type { CardsRequest } from '@hapset/contract';

/** Cards for all students whom somebody sees, ten a page, with a token each. */
export const cardsRequest: CardsRequest = {
  classNames: [],
  studentIds: [],
  onlyNew: false,
  code: 'token',
  design: 'band',
  band: 'class',
  newPagePerClass: false,
  schoolYear: '',
  validUntil: null,
  perPage: 10,
  paper: 'A4',
  fields: ['class'],
  symbol: null,
  backs: false,
  templateId: null,
};
