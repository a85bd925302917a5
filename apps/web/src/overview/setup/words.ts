/** Texts of a school's setup. */
import english from '../../../languages/en/setup.json' with { type: 'json' };
import { catalogue } from '../../platform/language/catalogue.js';

export const { t } = catalogue('setup', english);
