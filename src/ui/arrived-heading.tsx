"use client";

import { useEffect, useRef, type ComponentProps } from "react";

/** The heading of a page that takes the place of another without being asked for: it is read out. */
export function ArrivedHeading(props: ComponentProps<"h1">) {
  const heading = useRef<HTMLHeadingElement>(null);
  // Focus is the browser's: what had it is gone with the page before.
  useEffect(() => heading.current?.focus({ preventScroll: true }), []);
  return <h1 ref={heading} tabIndex={-1} {...props} />;
}
