import { fillPath, routes } from './routes.js';

describe('the table of routes', () => {
  it('names each method and path once', () => {
    const all = Object.values(routes).map((route) => `${route.method} ${route.path}`);
    expect(new Set(all).size).toBe(all.length);
  });

  it('leaves only signing in, the welcome, health and what students and visitors see to anyone', () => {
    expect(
      Object.entries(routes)
        .filter(([, route]) => route.access === 'anyone')
        .map(([name]) => name),
    ).toEqual([
      'health',
      'ready',
      'welcome',
      'signIn',
      'accountLink',
      'createAccount',
      'resetPassword',
      'arrivalPage',
      'studentPage',
      'pageFont',
      'plainFont',
      'keptBytes',
      'keptVariant',
      'webPicture',
      'visitorRights',
      'askVisitorInspection',
      'visitorInspection',
    ]);
  });
});

describe('filling a path', () => {
  it('puts ids in, encoded', () => {
    expect(fillPath('/api/lessons/:lessonId/stations', { lessonId: 'a/b c' })).toBe('/api/lessons/a%2Fb%20c/stations');
  });

  it('refuses a missing id', () => {
    expect(() => fillPath('/api/lessons/:lessonId')).toThrow(RangeError);
  });
});
