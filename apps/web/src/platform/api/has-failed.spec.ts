import { hasFailed } from './has-failed.js';
import { ApiError, type ApiReason } from './problem-error.js';

const asked = (reason: ApiReason | null, loaded: boolean) => ({
  isError: reason !== null,
  isLoadingError: reason !== null && !loaded,
  error: reason === null ? null : new ApiError(reason),
});

describe('whether a page has nothing to show', () => {
  it('is so where nothing was loaded, whatever the reason', () => {
    for (const reason of ['unreachable', 'unavailable', 'failed', 'not-found'] as const)
      expect(hasFailed(asked(reason, false))).toBe(true);
  });

  it('is not so while what was loaded can’t be asked for again, unless the server says that it is gone', () => {
    for (const reason of ['unreachable', 'unavailable', 'failed', 'busy'] as const)
      expect(hasFailed(asked(reason, true))).toBe(false);
    expect(hasFailed(asked('not-found', true))).toBe(true);
    expect(hasFailed(asked(null, true))).toBe(false);
  });
});
