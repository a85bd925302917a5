/** A password that is to be set: refused with the reason, or hashed. */
import { Injectable } from '@nestjs/common';
import { ProblemError } from '../../platform/problem/problem.js';
import { SchoolService } from '../settings/school.service.js';
import { PasswordHasher } from './password-hasher.js';
import { troubleWithPassword } from './password-rules.js';

@Injectable()
export class NewPassword {
  constructor(
    private readonly hasher: PasswordHasher,
    private readonly school: SchoolService,
  ) {}

  /** @param words that everybody connects with the account @throws ProblemError invalid, busy */
  async hash(password: string, words: readonly string[]): Promise<string> {
    const trouble = troubleWithPassword(password, [...words, (await this.school.get()).name]);
    if (trouble !== null)
      throw new ProblemError('invalid', 'This password is not taken.', {
        fields: [{ field: 'password', message: 'it is short, common or easily guessed', detail: trouble }],
      });
    return this.hasher.hash(password);
  }
}
