import fc from 'fast-check';

// Told by vitest.config.ts, which says what it is.
fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED) });
