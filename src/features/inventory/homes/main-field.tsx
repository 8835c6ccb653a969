"use client";

import type { ReactNode } from "react";
import { MAIN_WORDS } from "@/content/words";
import type { Main } from "@/core/inventory/inventory";
import { TextField } from "@/ui/field";

const NAMES: Readonly<Record<Main, string>> = {
  water: "mainWater",
  gas: "mainGas",
  power: "mainPower",
};

/** Where a main shut-off is, which position is off, and its pictures. */
export function MainField({ main, pictures }: { main: Main; pictures?: ReactNode }) {
  const name = NAMES[main];
  return (
    <>
      <div className="grid gap-4 wide:grid-cols-2">
        <TextField label={`${MAIN_WORDS[main]}: where it is`} name={name} />
        <TextField label="Which position is off" name={`${name}Off`} />
      </div>
      {pictures}
    </>
  );
}
