"use client";

import { useState } from "react";
import { Button, LinkButton } from "@/ui/button";

/** The brief on its way: by the device’s own mail, or as text for any message. */
export function SendBrief({ title, text, to }: { title: string; text: string; to: string }) {
  const [copied, setCopied] = useState<"" | "copied" | "refused">("");
  const copy = () =>
    navigator.clipboard.writeText(text).then(
      () => setCopied("copied"),
      () => setCopied("refused"),
    );
  const mail = `mailto:${encodeURIComponent(to)}?subject=${encodeURIComponent(title)}&body=${encodeURIComponent(text)}`;
  return (
    <div className="no-print flex flex-wrap items-center gap-2">
      <LinkButton href={mail}>Send it by mail</LinkButton>
      <Button onClick={() => void copy()}>Copy it as text</Button>
      <span role="status" className="text-second">
        {copied === "copied" && "Copied: paste it into any message."}
        {copied === "refused" &&
          "This browser does not let it be copied: print it, or send it by mail."}
      </span>
    </div>
  );
}
