import { fail, succeed, unreachable } from './result.js';
import { pointsPerMm, radians, requirePositive } from './units.js';

describe('units', () => {
  it('convert', () => {
    expect(25.4 * pointsPerMm).toBeCloseTo(72, 9);
    expect(radians(180)).toBeCloseTo(Math.PI, 12);
  });

  it('are checked at the door, with the value in the message', () => {
    expect(() => requirePositive('sizeMm', 12)).not.toThrow();
    expect(() => requirePositive('sizeMm', 0)).toThrow(new RangeError('sizeMm must be above 0, got 0'));
    expect(() => requirePositive('sizeMm', Number.POSITIVE_INFINITY)).toThrow(RangeError);
    expect(() => requirePositive('sizeMm', '12' as unknown as number)).toThrow(
      new TypeError('sizeMm must be a number, got string'),
    );
  });
});

describe('results', () => {
  it('are data', () => {
    expect(succeed(1)).toEqual({ ok: true, value: 1 });
    expect(fail({ reason: 'empty-payload' })).toEqual({ ok: false, problem: { reason: 'empty-payload' } });
  });

  it('say what was not expected where a union was not exhausted', () => {
    expect(() => unreachable('surprise' as never)).toThrow('not expected here: surprise');
  });
});
