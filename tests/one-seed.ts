import fc from 'fast-check';

/** Every run tries the same cases, so that what fails fails again; `SEED=any` tries others, `SEED=7` those of 7. */
const { SEED = '20261130' } = process.env;
if (SEED !== 'any') fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: Number(SEED) });
