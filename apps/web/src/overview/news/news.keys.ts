export const newsKeys = { all: ['news'] as const };
