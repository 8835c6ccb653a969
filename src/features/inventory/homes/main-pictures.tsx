import type { ReactNode } from "react";
import { MAIN_WORDS } from "@/content/words";
import { mainPicture } from "@/core/inventory/first-walk";
import type { Main } from "@/core/inventory/inventory";
import { PictureShelf } from "../units/picture-shelf";

/** Of each main shut-off its pictures, with the press that takes one more. */
export type MainShelves = Readonly<Record<Main, ReactNode>>;

/** The shelves of a home, to be set where its form asks for the places. */
export function mainShelves(
  homeId: string,
  pictures: Readonly<Record<Main, readonly { id: string }[]>>,
): MainShelves {
  const shelf = (main: Main) => (
    <PictureShelf
      homeId={homeId}
      about={{ stop: mainPicture(main) }}
      pictures={pictures[main]}
      words={MAIN_WORDS[main]}
    />
  );
  return { water: shelf("water"), gas: shelf("gas"), power: shelf("power") };
}
