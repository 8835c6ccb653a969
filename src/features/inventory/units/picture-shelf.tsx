"use client";

import { useRouter } from "next/navigation";
import { newId } from "@/run-client/new-id";
import { PictureFigure, PicturePress } from "@/ui/picture";
import { RemoveLink } from "../trash/remove-link";

/** The pictures of a place or machine, and the press that takes one more. */
export function PictureShelf({
  homeId,
  about,
  pictures,
  words,
}: {
  homeId: string;
  /** What a picture taken here is of: a stop, or a unit. */
  about: Readonly<Record<string, string>>;
  pictures: readonly { id: string }[];
  /** What they show, said to who can't see them. */
  words: string;
}) {
  const router = useRouter();
  return (
    <div>
      {pictures.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-3">
          {pictures.map(({ id }, i) => (
            <li key={id}>
              <PictureFigure id={id} words={`${words}, picture ${i + 1}`} />
              <div className="-ml-2">
                <RemoveLink target={{ kind: "photo", homeId, id }} name={`picture ${i + 1}`} />
              </div>
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap">
        <PicturePress
          to={`/api/v1/homes/${homeId}/photos`}
          {...{ about, newId }}
          words="Take a picture"
          of={words}
          onTaken={() => router.refresh()}
        />
      </div>
    </div>
  );
}
