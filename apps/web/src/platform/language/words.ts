import english from '../../../languages/en/platform.json' with { type: 'json' };
import { catalogue } from './catalogue.js';

export const { t } = catalogue('platform', english);
