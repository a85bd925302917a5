import english from '../../languages/en/students.json' with { type: 'json' };
import { catalogue } from '../platform/language/catalogue.js';

export const { t } = catalogue('students', english);
