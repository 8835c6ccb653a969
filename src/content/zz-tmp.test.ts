import { lintProcedures, lintProceduresInput } from "@/core/runs/lint";
import { PROCEDURES } from "@/content/procedures/library";
it("lints", () => {
  const r = lintProceduresInput.safeParse({ procedures: PROCEDURES });
  if (!r.success) console.log(JSON.stringify(r.error.issues.slice(0, 5)));
  console.log(
    lintProcedures({ procedures: PROCEDURES as never })
      .faults.map((f) => Object.values(f).join(" "))
      .join("\n"),
  );
});
