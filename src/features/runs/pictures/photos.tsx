"use client";

import type { PhotoMoment } from "@/core/runs/run-event";
import { PictureFigure } from "@/ui/picture";
import { undoToast } from "@/ui/toasts";
import { removePhoto, restorePhoto } from "./photo-actions";

/** The pictures of a run so far, before on the left and after on the right. */
export function PhotoStrip({
  homeId,
  photos,
  onRemove,
  onRestore,
}: {
  homeId: string;
  photos: readonly { photo: string; moment: PhotoMoment }[];
  onRemove: (id: string) => void;
  onRestore: (id: string) => void;
}) {
  const remove = async (id: string) => {
    onRemove(id);
    await removePhoto(homeId, id);
    undoToast("Picture removed", async () => {
      await restorePhoto(homeId, id);
      onRestore(id);
    });
  };
  const moments = (["before", "after"] as const).filter((moment) =>
    photos.some((each) => each.moment === moment),
  );
  return (
    <section aria-label="Pictures" className="grid max-w-[44rem] grid-cols-2 gap-4">
      {moments.map((moment) => (
        <div key={moment}>
          <h3 className="border-b-2 border-ink text-[1.125rem]">
            {moment === "before" ? "Before" : "After"}
          </h3>
          <ul className="mt-2 flex flex-wrap gap-3">
            {photos
              .filter((each) => each.moment === moment)
              .map(({ photo }) => (
                <li key={photo}>
                  <PictureFigure id={photo} words={`Picture ${moment} the work`} />
                  <button
                    type="button"
                    className="min-h-11 text-[1.0625rem] text-link"
                    onClick={() => void remove(photo)}
                  >
                    Remove
                  </button>
                </li>
              ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
