import english from '../../languages/en/opens.json' with { type: 'json' };
import { catalogue } from '../platform/language/catalogue.js';

export const { t } = catalogue('opens', english);
