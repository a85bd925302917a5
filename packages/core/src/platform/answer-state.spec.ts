import { answerStates, worse } from './answer-state.js';

describe('the worse of two states', () => {
  it('is the same whichever comes first, and never better than either', () => {
    const order = ['done', 'not-yet', 'look-at', 'stop'];
    for (const one of answerStates)
      for (const other of answerStates)
        expect(order.indexOf(worse(one, other))).toBe(Math.max(order.indexOf(one), order.indexOf(other)));
  });
});
