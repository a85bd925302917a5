import english from '../../languages/en/code.json' with { type: 'json' };
import { catalogue } from '../platform/language/catalogue.js';

export const { t } = catalogue('code', english);
