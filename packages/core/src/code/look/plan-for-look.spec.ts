import { planSymbol } from '../symbol/plan.js';
import { plainLook } from './look.js';
import { planForLook } from './plan-for-look.js';

const withStar = { ...plainLook, centre: { kind: 'icon', icon: 'star', side: null } } as const;
const payload = 'https://a.example/x';

describe('the symbol of a look', () => {
  it('has the level that was chosen, where nothing is in the middle', () => {
    const planned = planForLook(payload, 'L', plainLook);
    expect(planned).toEqual(planSymbol(payload, 'L'));
  });

  it('is raised for what is in the middle, as far as the version stays', () => {
    const chosen = planSymbol(payload, 'M');
    const raised = planForLook(payload, 'M', withStar);
    if (!chosen.ok || !raised.ok) throw new Error('it fits');
    expect(raised.value.version).toBe(chosen.value.version);
    expect(['Q', 'H']).toContain(raised.value.level);
    expect(planForLook(payload, raised.value.level, withStar)).toEqual(raised);
  });

  it('can’t be planned where nothing can', () => {
    expect(planForLook('', null, withStar).ok).toBe(false);
    expect(planForLook('x'.repeat(4000), 'H', withStar)).toEqual(planSymbol('x'.repeat(4000), 'H'));
  });
});
