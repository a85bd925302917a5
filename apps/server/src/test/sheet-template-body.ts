import type { CreateSheetTemplate } from '@hapset/contract';

/** A template of posters with nothing but a colour. */
export const sheetTemplateBody: CreateSheetTemplate = {
  name: 'Ours',
  kind: 'poster',
  accent: '#112233',
  header: null,
  layout: null,
  footer: '',
  labels: null,
};
