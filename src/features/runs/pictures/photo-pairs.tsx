import type { PlainDate } from "@/core/quantities/plain-date";
import { longDate } from "@/core/quantities/words";
import { PictureFigure } from "@/ui/picture";
import type { photoPairsOf } from "./photo-queries";

/** What a part looked like before and after each time, side by side. */
export function PhotoPairs({ pairs }: { pairs: Awaited<ReturnType<typeof photoPairsOf>> }) {
  if (pairs.length === 0) return null;
  return (
    <section aria-labelledby="pictures">
      <h2 id="pictures" className="border-b-[3px] border-ink pb-1 text-xl">
        Pictures
      </h2>
      <ul>
        {pairs.map(({ id, day, photos }) => (
          <li key={id} className="border-b border-rule py-3">
            <p className="figures text-second">{longDate(day as PlainDate)}</p>
            <div className="mt-1 grid grid-cols-2 gap-4">
              {(["before", "after"] as const).map((moment) => (
                <figure key={moment}>
                  <figcaption className="text-[0.9375rem]">
                    {moment === "before" ? "Before" : "After"}
                  </figcaption>
                  <div className="flex flex-wrap gap-2">
                    {photos
                      .filter((photo) => photo.moment === moment)
                      .map((photo) => (
                        <PictureFigure
                          key={photo.id}
                          id={photo.id}
                          words={`${moment === "before" ? "Before" : "After"}, ${longDate(day as PlainDate)}`}
                        />
                      ))}
                  </div>
                </figure>
              ))}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
