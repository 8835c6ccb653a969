import type { WebDriver } from "selenium-webdriver";

/** A page as the server sends it: what is read of it, by eye or aloud, and where it leads. */
export type SentPage = { path: string; status: number; texts: string[]; links: string[] };

const READ_PAGE = `
  const [path, done] = arguments;
  fetch(path).then(async (answer) => {
    const page = new DOMParser().parseFromString(await answer.text(), "text/html");
    for (const each of page.querySelectorAll("script, style, template")) each.remove();
    const texts = [];
    const walk = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
    while (walk.nextNode()) texts.push(walk.currentNode.textContent.trim());
    for (const name of ["aria-label", "aria-description", "title", "placeholder", "alt"])
      for (const each of page.querySelectorAll("[" + name + "]")) texts.push(each.getAttribute(name));
    const links = [...page.querySelectorAll("a[href]")].map((each) => each.getAttribute("href"));
    done({ path, status: answer.status, texts: texts.filter(Boolean), links });
  }, (error) => done({ path, status: 0, texts: [String(error)], links: [] }));`;

/**
 * The pages that links lead to, from some on, each read once; the browser is at a page of that server already.
 *
 * @param shapeOf what makes two pages alike, of which only the first is read; null for what is not followed
 */
export async function pagesFrom(
  driver: WebDriver,
  starts: readonly string[],
  shapeOf: (path: string) => string | null,
): Promise<SentPage[]> {
  const pages: SentPage[] = [];
  const paths = [...starts];
  const known = new Set(starts.map(shapeOf));
  for (const path of paths) {
    const page = await driver.executeAsyncScript<SentPage>(READ_PAGE, path);
    pages.push(page);
    for (const link of page.links) {
      const found = link.replace(/#.*/, "");
      const shape = found.startsWith("/") ? shapeOf(found) : null;
      if (shape === null || known.has(shape)) continue;
      known.add(shape);
      paths.push(found);
    }
  }
  return pages;
}
