import { Link } from "./link";
import type { ComponentProps } from "react";

type Weight = "strong" | "plain" | "quiet";

const SHAPE =
  "inline-flex min-h-11 items-center justify-center gap-2 py-2 font-semibold no-underline rounded-sm transition-colors data-pending:opacity-60";
const WEIGHTS: Record<Weight, string> = {
  strong: "px-4 bg-ink text-ground border-2 border-ink hover:bg-link hover:border-link",
  plain: "px-4 bg-transparent text-ink border-2 border-ink hover:bg-surface",
  quiet: "text-link underline underline-offset-4 decoration-1 hover:decoration-2 px-2 font-medium",
};

const classes = (weight: Weight, className = "") => `${SHAPE} ${WEIGHTS[weight]} ${className}`;

export function Button({
  weight = "plain",
  pending = false,
  className,
  type = "button",
  ...rest
}: ComponentProps<"button"> & { weight?: Weight; pending?: boolean }) {
  return (
    <button
      type={type}
      data-pending={pending || undefined}
      aria-disabled={pending || undefined}
      className={classes(weight, className)}
      {...rest}
    />
  );
}

export function LinkButton({
  weight = "plain",
  className,
  ...rest
}: ComponentProps<typeof Link> & { weight?: Weight }) {
  return <Link className={classes(weight, className)} {...rest} />;
}
