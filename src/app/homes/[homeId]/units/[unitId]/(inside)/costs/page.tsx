import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { CostChart } from "@/features/money/cost-chart";
import { RepairOrReplace } from "@/features/money/decisions";
import { saveMoney } from "@/features/money/money-actions";
import { MoneyForm } from "@/features/money/money-form-view";
import { costsOf, fieldsOfMoney } from "@/features/money/money-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "What it costs" };

export default async function CostsPage({
  params,
}: PageProps<"/homes/[homeId]/units/[unitId]/costs">) {
  const { homeId, unitId } = await params;
  const page = await costsOf(homeId, unitId);
  if (!page) notFound();
  const { home, unit, years, summary, running, ageYears, life, isUnderWarranty } = page;
  const { currency } = home;
  return (
    <div className="flex max-w-4xl flex-col gap-6">
      <div>
        <h1 className="text-[1.75rem]">What it costs</h1>
        <p className="mt-1">{summary}</p>
      </div>
      <CostChart years={years} currency={currency} />
      <RepairOrReplace
        {...{ ageYears, life, running, currency, isUnderWarranty }}
        repairMinor={page.openRepairs}
        replacementMinor={unit.replacementMinor ?? null}
      />
      <section aria-labelledby="prices" className="border-t-[3px] border-ink pt-3">
        <h2 id="prices" className="mb-3 text-lg">
          Prices
        </h2>
        <MoneyForm
          action={saveMoney.bind(null, homeId, unitId)}
          initial={emptyForm(fieldsOfMoney(home, unit))}
          currency={currency}
        />
      </section>
    </div>
  );
}
