import { z } from "zod";

export const THEME_COOKIE = "theme";
export const themeSchema = z.enum(["auto", "light", "dark"]).catch("auto");
export type Theme = z.output<typeof themeSchema>;

/** Whether keys of one letter do something: who speaks to the device turns them off. */
export const KEYS_COOKIE = "keys";
export const keysSchema = z.enum(["on", "off"]).catch("on");
export type Keys = z.output<typeof keysSchema>;
