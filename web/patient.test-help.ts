// What is looked for on a page may take its time: on a machine that is busy with other tests, a second is nothing.
if (typeof document !== 'undefined') (await import('@testing-library/dom')).configure({ asyncUtilTimeout: 10_000 });

export {};
