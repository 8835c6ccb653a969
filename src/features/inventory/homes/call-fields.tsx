"use client";

import { TextField } from "@/ui/field";

/** Whom to call: what the emergency card needs, and who services the machines. */
export function CallFields() {
  return (
    <div className="grid gap-4 wide:grid-cols-2">
      <TextField label="Gas emergency number" name="gasPhone" type="tel" autoComplete="off" />
      <div className="hidden wide:block" />
      <TextField label="Your technician’s name" name="technicianName" autoComplete="off" />
      <TextField
        label="Your technician’s number"
        name="technicianPhone"
        type="tel"
        autoComplete="off"
      />
    </div>
  );
}
