import { describe, expect, it } from 'vitest';
import { answer } from './http';
import { Refusal } from './refusal';

const failing = (error: unknown) =>
  answer(async () => {
    throw error;
  });
const withCode = (code: string) => Object.assign(new Error('from below'), { code });

describe('an answer to what fails', () => {
  it.each(['53100', 'ENOSPC', 'EDQUOT'])('names a full disk (%s) and what to do', async (code) => {
    const response = await failing(withCode(code));
    expect(response.status).toBe(507);
    expect(await response.text()).toMatch(/disk is full[\s\S]*Make room/);
  });

  it.each(['ECONNREFUSED', '57P01', '57P03', '08006', '53300'])('says that the database is away (%s)', async (code) => {
    const response = await failing(withCode(code));
    expect(response.status).toBe(503);
    expect(await response.text()).toMatch(/database does not answer[\s\S]*Try again/);
  });

  it.each([
    'Connection terminated unexpectedly',
    'Client has encountered a connection error and is not queryable',
    'timeout exceeded when trying to connect',
  ])('says so where the driver has words and no code (%s)', async (words) => {
    expect((await failing(new Error(words))).status).toBe(503);
  });

  it('hands on a refusal as it is, and of what nobody foresaw tells no secret', async () => {
    const problem = { problem: 'No.', where: 'here', wayOut: 'Elsewhere.' };
    expect((await failing(new Refusal(409, [problem]))).status).toBe(409);
    const unforeseen = await failing(new Error('password=secret'));
    expect(unforeseen.status).toBe(500);
    expect(await unforeseen.text()).not.toMatch(/secret/);
  });
});
