/** Texts of this folder that the first pages do without. */
import english from '../../../languages/en/wording.json' with { type: 'json' };
import { catalogue } from '../language/catalogue.js';

export const { t } = catalogue('wording', english);
