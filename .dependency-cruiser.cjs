/** Which way imports may point; docs/architecture.md says why. */
/** What the core may use: it computes, and reaches nothing. */
const PURE_LIBRARIES = "^node_modules/(zod|date-fns|@date-fns/utc|simple-statistics)/";
const TESTS = "\\.test\\.tsx?$";

const reach = (from, allowed) => ({
  name: `${from}-reaches-only-${allowed.join("-")}`,
  severity: "error",
  from: { path: `^(src/)?${from}/`, pathNot: TESTS },
  to: {
    path: "^(src|demo)/",
    pathNot: allowed.map((folder) => `^(src/)?${folder}/`),
  },
});

module.exports = {
  forbidden: [
    {
      name: "core-is-pure",
      comment: "The core imports nothing but itself and the few pure libraries.",
      severity: "error",
      from: { path: "^src/core/", pathNot: TESTS },
      to: { pathNot: ["^src/core/", PURE_LIBRARIES] },
    },
    {
      name: "core-floors",
      comment: "Inside core, quantities is the ground floor.",
      severity: "error",
      from: { path: "^src/core/quantities/", pathNot: TESTS },
      to: { path: "^src/core/", pathNot: "^src/core/quantities/" },
    },
    {
      name: "registry-is-the-roof",
      severity: "error",
      from: { path: "^src/core/", pathNot: ["^src/core/compute/", TESTS] },
      to: { path: "^src/core/compute/" },
    },
    {
      name: "content-knows-only-types-of-core",
      comment: "Content is data: it may say what shape it has, and computes nothing.",
      severity: "error",
      from: { path: "^src/content/", pathNot: TESTS },
      to: { path: "^src/core/", dependencyTypesNot: ["type-only"] },
    },
    reach("content", ["content", "core"]),
    reach("presentation", ["presentation", "content", "core"]),
    reach("lib", ["lib", "core"]),
    reach("db", ["db", "core", "lib"]),
    reach("server", ["server", "db", "core", "content", "lib"]),
    reach("ui", ["ui"]),
    reach("run-client", ["run-client", "core", "lib"]),
    reach("workers", ["workers", "core", "content", "lib"]),
    reach("features", [
      "features",
      "ui",
      "run-client",
      "server",
      "presentation",
      "core",
      "content",
      "lib",
      "workers",
    ]),
    reach("app", ["app", "features", "ui", "lib"]),
    reach("demo", ["demo", "server", "core", "content"]),
    {
      name: "feature-groups-keep-apart",
      comment: "Inside a group sharing is fine; what two groups share moves below them.",
      severity: "error",
      from: { path: "^src/features/([^/]+)/" },
      to: { path: "^src/features/([^/]+)/", pathNot: "^src/features/$1/" },
    },
    { name: "no-circles", severity: "error", from: {}, to: { circular: true } },
    {
      name: "resolvable",
      severity: "error",
      from: {},
      to: { couldNotResolve: true },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      extensions: [".ts", ".tsx", ".js", ".mjs", ".json", ".css"],
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
  },
};
