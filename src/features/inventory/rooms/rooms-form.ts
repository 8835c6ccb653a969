import { z } from "zod";

const name = z
  .string()
  .min(1, "Give it a name.")
  .max(60, "A shorter name, please: up to 60 letters.");

export const roomForm = z.object({
  name,
  levelId: z.string().min(1, "Choose its level."),
  sleeps: z.string().optional(),
});

const LOWEST = -3;
const HIGHEST = 9;

export const levelForm = z.object({
  name,
  place: z.enum(["inside", "outdoors", "outbuilding"], "Choose what it is."),
  storey: z
    .string()
    .refine(
      (text) => /^-?\d+$/.test(text) && Number(text) >= LOWEST && Number(text) <= HIGHEST,
      `Storeys above the ground floor: ${LOWEST} for a deep cellar, 0 for the ground, up to ${HIGHEST}.`,
    )
    .transform(Number),
});

export const registerForm = z.object({
  roomId: z.string().min(1, "Choose its room."),
  role: z.enum(["supply", "return"], "Does air come in there, or leave?"),
  place: z.string().max(120, "Shorter, please: up to 120 letters."),
});
