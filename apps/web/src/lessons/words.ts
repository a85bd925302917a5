import english from '../../languages/en/lessons.json' with { type: 'json' };
import { catalogue } from '../platform/language/catalogue.js';

export const { t } = catalogue('lessons', english);
