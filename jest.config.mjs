import nextJest from "next/jest.js";

const withNext = nextJest({ dir: "." });

const shared = {
  testEnvironment: "node",
  globalSetup: "<rootDir>/tests/demo-template.ts",
  moduleNameMapper: {
    "^@/(.*)$": "<rootDir>/src/$1",
    "^server-only$": "<rootDir>/e2e/empty-module.ts",
    "^next/cache$": "<rootDir>/tests/next-cache.ts",
  },
};

/** Packages that come as modules only, which Jest can read no other way than translated. */
const MODULES_ONLY = "d3-[a-z-]+|internmap|comlink|nuqs|p-limit|yocto-queue|@tanstack";

const project = async (extra) => {
  const config = await withNext({ ...shared, ...extra })();
  return { ...config, transformIgnorePatterns: [`/node_modules/(?!(${MODULES_ONLY})/)`] };
};

const config = async () => ({
  projects: [
    await project({
      displayName: "unit",
      testMatch: ["<rootDir>/{src,scripts,tests}/**/*.test.ts"],
    }),
    await project({
      displayName: "browser",
      testMatch: ["<rootDir>/e2e/**/*.test.ts"],
      setupFilesAfterEnv: ["<rootDir>/e2e/browser-timeout.ts"],
    }),
  ],
});

export default config;
