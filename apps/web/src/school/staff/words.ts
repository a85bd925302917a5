/** Texts about accounts: they come with the pages that show them, after the first ones. */
import english from '../../../languages/en/staff.json' with { type: 'json' };
import { catalogue } from '../../platform/language/catalogue.js';

export const { t } = catalogue('staff', english);
