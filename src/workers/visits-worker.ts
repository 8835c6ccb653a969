import { parentPort } from "node:worker_threads";
import type { PlanInput } from "@/core/planning/plan-schema";
import { technicianDays } from "@/core/planning/technician-days";

parentPort?.on("message", ({ id, asked }: { id: number; asked: PlanInput[] }) =>
  parentPort?.postMessage({ id, told: technicianDays(asked) }),
);
