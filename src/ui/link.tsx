import NextLink from "next/link";
import type { ComponentProps } from "react";

/**
 * A link that asks the server for nothing before it is pressed. Every page here is rendered when it is asked for, so
 * that asking beforehand brings nothing of it: a look at Today asked forty times for what nobody opened.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
