import english from '../../languages/en/app.json' with { type: 'json' };
import { catalogue } from '../platform/language/catalogue.js';

export const { t } = catalogue('app', english);
