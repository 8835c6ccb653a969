import { useEffect, type RefObject } from "react";

/** Boxes that scroll sideways together, each by its share of the way. */
const linked = new Set<HTMLElement>();

/** Keeps a box where the others of its kind are scrolled to. */
export function useLinkedScroll(ref: RefObject<HTMLElement | null>): void {
  // Scrolling is the browser’s: what one box does the others follow.
  useEffect(() => {
    const box = ref.current;
    if (!box) return;
    const [other] = linked;
    if (other) box.scrollLeft = other.scrollLeft * (box.scrollWidth / other.scrollWidth);
    linked.add(box);
    const follow = () => {
      for (const each of linked) {
        const wanted = box.scrollLeft * (each.scrollWidth / box.scrollWidth);
        // Set only where it differs: setting it is heard as scrolling too.
        if (each !== box && Math.abs(each.scrollLeft - wanted) > 1) each.scrollLeft = wanted;
      }
    };
    box.addEventListener("scroll", follow, { passive: true });
    return () => {
      linked.delete(box);
      box.removeEventListener("scroll", follow);
    };
  }, [ref]);
}
