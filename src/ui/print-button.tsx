"use client";

import { Button } from "./button";

export function PrintButton() {
  return (
    <Button weight="strong" className="no-print self-start" onClick={() => window.print()}>
      Print it
    </Button>
  );
}
