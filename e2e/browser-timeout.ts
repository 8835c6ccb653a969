// A whole errand in a browser takes longer than a unit test may.
jest.setTimeout(120_000);
