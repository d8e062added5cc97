import { describe, expect, it } from 'vitest';
import { failureForLog } from './log';

const text = (error: unknown) => JSON.stringify(failureForLog(error));

describe('what the log holds of a failure', () => {
  it('of the database: code and place, never the values that it repeats', () => {
    const error = Object.assign(
      new Error('invalid input syntax for type integer: "Vera Test, ulcer left heel"'),
      {
        name: 'error',
        code: '22P02',
        detail: 'Key (given_name)=(Vera) already exists.',
        where: "unnamed portal parameter $3 = 'ulcer'",
        table: 'patient',
        constraint: 'patient_pkey',
        routine: 'pg_strtoint32',
      },
    );
    expect(text(error)).not.toMatch(/Vera|ulcer/);
    expect(failureForLog(error)).toMatchObject({
      code: '22P02',
      table: 'patient',
      constraint: 'patient_pkey',
    });
  });

  it('of a parser: not the text that it could not read', () => {
    let failure: unknown;
    try {
      JSON.parse('{"note": ulcer}');
    } catch (error) {
      failure = error;
    }
    expect((failure as Error).message).toMatch(/ulcer|token/);
    expect(text(failure)).not.toMatch(/ulcer/);
  });

  it('of our own code: its words, its place and what caused it', () => {
    const error = new Error('The preview process ended.', { cause: new SyntaxError('near ulcer') });
    expect(failureForLog(error)).toMatchObject({
      message: 'The preview process ended.',
      cause: { type: 'SyntaxError' },
    });
    expect(text(error)).not.toMatch(/ulcer/);
  });
});
