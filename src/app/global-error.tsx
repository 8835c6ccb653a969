"use client";

import { TroubleView } from "@/ui/trouble-view";
import "./globals.css";

/** Where not even the frame of all pages could be drawn. */
export default function GlobalErrorPage(props: { error: Error; reset: () => void }) {
  return (
    <html lang="en">
      <body>
        <main>
          <TroubleView {...props} />
        </main>
      </body>
    </html>
  );
}
