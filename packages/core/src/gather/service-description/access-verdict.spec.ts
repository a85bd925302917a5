import { accessVerdicts, letsIn } from './access-verdict.js';

describe('a verdict', () => {
  it('lets students in, or does not', () =>
    expect(accessVerdicts.filter(letsIn)).toEqual(['open', 'open-editable', 'partial', 'obstructed']));
});
