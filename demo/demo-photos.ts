import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import type { PhotoMoment } from "@/core/runs/run-event";

/** A picture of the demo, as a drawing: nobody stood there with a camera. */
export type DemoPhoto = {
  id: string;
  unitId: string;
  partId: string;
  moment: PhotoMoment;
  fileName: string;
  addedOn: PlainDate;
  /** Of the run it was taken in. */
  runId?: string;
  svg: string;
};

const WIDTH = 1200;
const HEIGHT = 900;
const picture = (wall: string, body: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><rect width="100%" height="100%" fill="${wall}"/>${body}</svg>`;

/** A pleated filter in its slot, with so much dust in its folds. */
function filterPicture(dust: string, share: number): string {
  const folds = Array.from({ length: 16 }, (_, i) => 240 + i * 46);
  const pleats = folds
    .map(
      (x) =>
        `<path d="M${x} 180 L${x + 23} 210 L${x + 46} 180 V720 L${x + 23} 690 L${x} 720 Z" fill="#e9e4d6" stroke="#8b8577" stroke-width="3"/><path d="M${x + 23} 210 V690" stroke="${dust}" stroke-width="${6 + 30 * share}" opacity="${0.25 + 0.6 * share}"/>`,
    )
    .join("");
  return picture(
    "#6f7473",
    `<rect x="190" y="130" width="836" height="640" fill="#3d4243"/><rect x="214" y="154" width="788" height="592" fill="#b99a6b"/>${pleats}<path d="M540 830 H700 M660 800 L704 830 L660 860" stroke="#1e2a2d" stroke-width="14" fill="none"/>`,
  );
}

/** A recovery core on its towel, its arrow toward us. */
const corePicture = (): string =>
  picture(
    "#c9c3b4",
    `<rect x="120" y="640" width="960" height="180" fill="#7d9aa0"/><path d="M600 120 L900 420 L600 720 L300 420 Z" fill="#e4e8e6" stroke="#4c5658" stroke-width="8"/>${Array.from({ length: 18 }, (_, i) => `<path d="M${330 + i * 16} ${390 - i * 15} L${610 + i * 16} ${690 - i * 15}" stroke="#8e989a" stroke-width="4"/>`).join("")}<path d="M600 560 V290 M540 350 L600 284 L660 350" stroke="#a5342a" stroke-width="22" fill="none"/>`,
  );

/** Pictures taken at Sluice House: the filter last month, the core that dries now. */
export function demoPhotos(today: PlainDate, coreRun: string): DemoPhoto[] {
  const filter = {
    unitId: "cellar-furnace",
    partId: "cellar-filter",
    addedOn: addDays(today, -40),
  };
  const core = {
    unitId: "loft-ventilator",
    partId: "loft-ventilator-recovery-core",
    addedOn: addDays(today, -1),
  };
  return [
    {
      ...filter,
      id: "demo-photo-filter-before",
      moment: "before",
      fileName: "old filter.jpg",
      svg: filterPicture("#4a4236", 0.9),
    },
    {
      ...filter,
      id: "demo-photo-filter-after",
      moment: "after",
      fileName: "new filter.jpg",
      svg: filterPicture("#d8d2c2", 0.05),
    },
    {
      ...core,
      id: "demo-photo-core-before",
      moment: "before",
      fileName: "core and its arrow.jpg",
      runId: coreRun,
      svg: corePicture(),
    },
  ];
}
