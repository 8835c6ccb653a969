/**
 * Words of the project that were given up for those of the trade. A name or a comment that brings
 * one back is an error; docs/glossary.md says what is said now.
 */
const RETIRED = {
  standing: "filter status, job status",
  standings: "filter statuses, job statuses",
  agenda: "schedule",
  clockwork: "due calculator",
  stint: "installed period",
  stints: "installed periods",
  doer: "qualification",
  doers: "qualifications",
  school: "strategy",
  schools: "strategies",
  cadence: "trigger",
  cadences: "triggers",
};
/** The same made of several words, as they stand in a name. */
const RETIRED_NAMES = {
  homebook: "home snapshot",
  keptbook: "snapshot cache",
  turnedback: "aborted",
  putoff: "deferral",
  instep: "name what it is",
};
const RETIRED_PHRASES = { "home book": "home snapshot", "kept book": "snapshot cache" };

/** Keys of the compute contract and of what is stored keep their names. */
const KEPT_KEYS = new Set(["cadence", "school", "schools", "doer"]);

const partsOf = (name) =>
  name
    .replace(/([a-z0-9])([A-Z])/g, "$1 $2")
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter(Boolean);

/** The retired word in a name and what to say instead; null where there is none. */
export function retiredIn(name) {
  const parts = partsOf(name);
  const word = parts.find((part) => Object.hasOwn(RETIRED, part));
  if (word) return { word, say: RETIRED[word] };
  const whole = parts.join("");
  const joined = Object.keys(RETIRED_NAMES).find((each) => whole.includes(each));
  return joined ? { word: joined, say: RETIRED_NAMES[joined] } : null;
}

/** The same in a comment, where a word stands by itself; what stands in code marks is a key. */
export function retiredInComment(text) {
  const plain = text.replace(/`[^`]*`/g, "").toLowerCase();
  for (const [phrase, say] of Object.entries(RETIRED_PHRASES))
    if (plain.includes(phrase)) return { word: phrase, say };
  const word = plain.split(/[^a-z]+/).find((each) => Object.hasOwn(RETIRED, each));
  return word ? { word, say: RETIRED[word] } : null;
}

const rule = {
  meta: { type: "problem", schema: [] },
  create: (context) => ({
    Identifier(node) {
      if (KEPT_KEYS.has(node.name)) return;
      const found = retiredIn(node.name);
      if (found) context.report({ node, message: `“${found.word}” is retired: say ${found.say}.` });
    },
    Program() {
      for (const comment of context.sourceCode.getAllComments()) {
        const found = retiredInComment(comment.value);
        if (found)
          context.report({
            loc: comment.loc,
            message: `“${found.word}” is retired: say ${found.say}.`,
          });
      }
    },
  }),
};

const plugin = { rules: { "retired-words": rule } };
export default plugin;
