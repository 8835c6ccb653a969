import { z } from "zod";

export const THEME_COOKIE = "theme";
export const themeSchema = z.enum(["auto", "light", "dark"]).catch("auto");
export type Theme = z.output<typeof themeSchema>;
