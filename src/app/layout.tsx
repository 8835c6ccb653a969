import type { Metadata, Viewport } from "next";
import { cookies } from "next/headers";
import { KEYS_COOKIE, keysSchema, THEME_COOKIE, themeSchema } from "@/lib/theme";
import { GaugeParts } from "@/ui/gauge";
import { Toasts } from "@/ui/toasts";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: "Amber Lintel", template: "%s · Amber Lintel" },
  description: "When each filter of your home is due, why, and how to change it.",
};

export const viewport: Viewport = { width: "device-width", initialScale: 1 };

export default async function RootLayout({ children }: { children: React.ReactNode }) {
  const kept = await cookies();
  const theme = themeSchema.parse(kept.get(THEME_COOKIE)?.value);
  const keys = keysSchema.parse(kept.get(KEYS_COOKIE)?.value);
  return (
    <html lang="en" data-theme={theme === "auto" ? undefined : theme} data-keys={keys}>
      <body>
        <GaugeParts />
        {children}
        <Toasts />
      </body>
    </html>
  );
}
