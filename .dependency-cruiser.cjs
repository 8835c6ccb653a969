/** Which way imports may point; docs/architecture.md says why. */
const reach = (from, allowed) => ({
  name: `${from}-reaches-only-${allowed.join("-")}`,
  severity: "error",
  from: { path: `^src/${from}/`, pathNot: "\\.test\\.tsx?$" },
  to: {
    path: "^src/",
    pathNot: allowed.map((folder) => `^src/${folder}/`),
  },
});

module.exports = {
  forbidden: [
    {
      name: "core-is-pure",
      comment: "The core imports nothing but itself and the few pure libraries.",
      severity: "error",
      from: { path: "^src/core/", pathNot: "\\.test\\.ts$" },
      to: { pathNot: ["^src/core/", "^node_modules/zod/"] },
    },
    {
      name: "core-floors",
      comment: "Inside core, quantities is the ground floor.",
      severity: "error",
      from: { path: "^src/core/quantities/", pathNot: "\\.test\\.ts$" },
      to: { path: "^src/core/", pathNot: "^src/core/quantities/" },
    },
    {
      name: "registry-is-the-roof",
      severity: "error",
      from: { path: "^src/core/", pathNot: ["^src/core/compute/", "\\.test\\.ts$"] },
      to: { path: "^src/core/compute/" },
    },
    reach("content", ["content", "core"]),
    reach("lib", ["lib", "core"]),
    reach("db", ["db", "core", "lib"]),
    reach("ui", ["ui"]),
    reach("workers", ["workers", "core", "content", "db", "lib"]),
    reach("features", ["features", "ui", "core", "content", "db", "lib", "workers"]),
    reach("app", ["app", "features", "ui", "lib"]),
    {
      name: "features-keep-apart",
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
