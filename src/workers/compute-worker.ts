import { parentPort } from "node:worker_threads";
import { answerLine, compute, type ComputeAsk, type ComputeTold } from "@/core/compute/compute";

parentPort?.on("message", ({ id, asked: { name, json } }: { id: number; asked: ComputeAsk }) => {
  const answer = compute(name, json);
  const told: ComputeTold = {
    ...{ ok: answer.ok, line: answerLine(answer) },
    code: answer.ok ? null : answer.error.code,
  };
  parentPort?.postMessage({ id, told });
});
