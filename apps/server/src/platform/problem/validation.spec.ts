import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsInt, IsString, MaxLength, ValidateNested } from 'class-validator';
import type { ProblemError } from './problem.js';
import { bodyValidation } from './validation.js';

class ItemDto {
  @IsInt() count: number;
  @IsString() @MaxLength(3) name: string;
}
class ListDto {
  @IsString() title: string;
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => ItemDto) items: ItemDto[];
}

describe('what is wrong with a body', () => {
  const check = async (body: object): Promise<ProblemError['more']> => {
    try {
      await bodyValidation().transform(body, { type: 'body', metatype: ListDto });
      return {};
    } catch (error) {
      return (error as ProblemError).more;
    }
  };

  it('is named by its path', async () => {
    const { fields = [] } = await check({
      title: 1,
      items: [
        { count: 1, name: 'abc' },
        { count: 'x', name: 'abc' },
      ],
    });
    expect(fields.map(({ field }) => field)).toEqual(['title', 'items.1.count']);
  });

  it('is named twenty times at the most, and in short', async () => {
    const { fields = [] } = await check({
      title: 'x',
      items: Array.from({ length: 400 }, () => ({ count: 'x', name: 'too long', more: 1 })),
    });
    expect(fields).toHaveLength(20);
    const strange = Object.fromEntries(Array.from({ length: 80 }, (_, index) => [`${'k'.repeat(500)}${index}`, 1]));
    const named = (await check({ title: 'x', items: [], ...strange })).fields ?? [];
    expect(named).toHaveLength(20);
    for (const { field, message } of named) {
      expect(field.length).toBeLessThanOrEqual(200);
      expect(message.length).toBeLessThanOrEqual(300);
    }
  });

  it('is nothing where all is well', async () => {
    expect(await check({ title: 'x', items: [{ count: 1, name: 'abc' }] })).toEqual({});
  });
});
