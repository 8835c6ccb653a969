import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { noteNoticed } from "@/features/records/noticed/noticed-actions";
import { NoticedForm } from "@/features/records/noticed/noticed-form-view";
import { noticedPageOf } from "@/features/records/noticed/noticed-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Noticed" };

export default async function NoticedPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/noticed">) {
  const { homeId } = await params;
  const { unit, sign } = await searchParams;
  const page = await noticedPageOf(homeId);
  if (!page) notFound();
  return (
    <div className="mx-auto max-w-4xl">
      <div className="mb-5 flex flex-wrap items-baseline gap-x-6">
        <h1 className="text-[1.75rem]">What did you notice?</h1>
        <Link href={`/homes/${homeId}/look`} className="text-link underline underline-offset-4">
          A look at a filter
        </Link>
        <Link href={`/homes/${homeId}/reading`} className="text-link underline underline-offset-4">
          A reading
        </Link>
        <Link
          href={`/homes/${homeId}/breakdowns/new${typeof unit === "string" ? `?unit=${unit}` : ""}`}
          className="text-link underline underline-offset-4"
        >
          It broke down
        </Link>
      </div>
      <NoticedForm
        action={noteNoticed.bind(null, homeId)}
        initial={emptyForm({
          date: [page.today],
          ...(typeof unit === "string" ? { unitId: [unit] } : {}),
          ...(typeof sign === "string" ? { sign: [sign] } : {}),
        })}
        {...{ homeId, page }}
      />
    </div>
  );
}
