"use client";

import { useState, type Ref } from "react";

const TYPES = "image/jpeg,image/png,image/webp,application/pdf";
const MOST_MB = 20;
const BYTES_PER_MB = 1024 * 1024;

/** Sends a picture; what that takes is loaded with the first one. */
async function upload(to: string, form: FormData): Promise<string | null> {
  try {
    return await (await import("./send-picture")).sendPicture(to, form);
  } catch {
    return "Not kept: Amber Lintel can’t be reached. The picture is still on this device.";
  }
}

/** Takes or chooses a picture and sends it, under a name made on this device. */
export function PicturePress({
  ref,
  to,
  about,
  newId,
  words = "Picture",
  of,
  onTaken,
}: {
  ref?: Ref<HTMLInputElement>;
  /** Where it is sent. */
  to: string;
  /** What is sent with it: what it is a picture of. */
  about: Readonly<Record<string, string>>;
  newId: () => string;
  words?: string;
  /** What it shows, for who can't see what the press stands beside. */
  of?: string;
  onTaken: (id: string) => void;
}) {
  const [stage, setStage] = useState<"idle" | "sending" | { problem: string; form: FormData }>(
    "idle",
  );
  const send = async (form: FormData) => {
    setStage("sending");
    const problem = await upload(to, form);
    if (problem) return setStage({ problem, form });
    setStage("idle");
    onTaken(String(form.get("id")));
  };
  const take = (file: File | undefined) => {
    if (!file) return;
    const form = new FormData();
    for (const [name, value] of Object.entries({ ...about, id: newId() })) form.set(name, value);
    form.set("file", file);
    if (file.size > MOST_MB * BYTES_PER_MB)
      return setStage({ problem: "The file is over 20 MB. Take a smaller one.", form });
    void send(form);
  };
  return (
    <>
      <label className="flex min-h-12 cursor-pointer items-center text-[1.125rem] text-link has-focus-visible:outline-3 has-focus-visible:outline-link">
        <input
          ref={ref}
          type="file"
          accept={TYPES}
          aria-label={of ? `${words}: ${of}` : words}
          className="sr-only"
          onChange={(event) => {
            take(event.target.files?.[0]);
            // Otherwise the browser would not report the same file when it is chosen a second time.
            event.target.value = "";
          }}
        />
        <span aria-live="polite">{stage === "sending" ? "Keeping it…" : words}</span>
      </label>
      {typeof stage === "object" && (
        <p
          role="alert"
          className="order-last flex basis-full flex-wrap items-center gap-x-4 bg-wash px-3 py-1"
        >
          {stage.problem}
          <button
            type="button"
            className="min-h-11 text-link underline"
            onClick={() => void send(stage.form)}
          >
            Try again
          </button>
          <button
            type="button"
            className="min-h-11 text-link underline"
            onClick={() => setStage("idle")}
          >
            Leave it
          </button>
        </p>
      )}
    </>
  );
}

/** A picture, opened in full by a press; a paper is named instead. */
export function PictureFigure({ id, words }: { id: string; words: string }) {
  const [isPaper, setPaper] = useState(false);
  return (
    <a href={`/api/v1/photos/${id}`} target="_blank" rel="noreferrer" className="block text-link">
      {isPaper ? (
        <span className="flex size-28 items-center justify-center border-2 border-rule">Paper</span>
      ) : (
        // eslint-disable-next-line @next/next/no-img-element -- served by the app itself, already small
        <img
          src={`/api/v1/photos/${id}`}
          alt={words}
          loading="lazy"
          className="h-28 max-w-full border border-rule object-cover"
          onError={() => setPaper(true)}
        />
      )}
    </a>
  );
}

/** The pictures of one thing beside each other. */
export function Pictures({
  pictures,
  of,
}: {
  pictures: readonly { id: string }[];
  /** What they show, said to who can't see them. */
  of: string;
}) {
  if (pictures.length === 0) return null;
  return (
    <div className="flex flex-wrap gap-3">
      {pictures.map(({ id }, i) => (
        <PictureFigure key={id} id={id} words={`${of}, picture ${i + 1}`} />
      ))}
    </div>
  );
}
