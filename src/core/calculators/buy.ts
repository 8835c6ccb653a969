import { z } from "zod";
import { countSchema, dateSchema, optional, withDefault } from "../quantities/schemas";
import { addDays, type PlainDate } from "../quantities/plain-date";

/** Further ahead than this nothing is bought, days. */
const LOOK_AHEAD_DAYS = 365;
const DEFAULT_LEAD_DAYS = 7;

const offerSchema = z.strictObject({
  item: z.string(),
  /** Pieces in a pack. */
  pack: z.number().int().positive(),
  /** Of a pack, in minor units. */
  price: z.number().min(0),
  breaks: withDefault(
    z.array(z.strictObject({ minPacks: z.number().int().positive(), price: z.number().min(0) })),
    [],
  ),
});
type Offer = z.output<typeof offerSchema>;

export const buyInput = z.strictObject({
  today: dateSchema,
  needs: z.array(z.strictObject({ item: z.string(), dates: z.array(dateSchema) })),
  stock: z.array(z.strictObject({ item: z.string(), count: countSchema })),
  offers: z.array(offerSchema),
  leadDays: withDefault(countSchema, DEFAULT_LEAD_DAYS),
  shelfLifeDays: optional(countSchema),
});
type BuyInput = z.output<typeof buyInput>;

const orderSchema = z.strictObject({
  item: z.string(),
  packs: z.number().int(),
  units: z.number().int(),
  price: z.number(),
  by: dateSchema,
  coversUntil: dateSchema,
});
export const buyOutput = z.strictObject({
  orders: z.array(orderSchema),
  unmet: z.array(z.string()),
  total: z.number(),
});
type Order = z.output<typeof orderSchema>;

/** Of so many packs together; each at the price of the greatest break they reach. */
function priceOf(offer: Offer, packs: number): number {
  const reached = offer.breaks
    .filter((each) => each.minPacks <= packs)
    .sort((a, b) => b.minPacks - a.minPacks)[0];
  return packs * (reached?.price ?? offer.price);
}

type Bought = { offer: Offer; packs: number; price: number };

/** The least total price for at least so many pieces; of equals the fewest packs. */
function cheapest(offers: readonly Offer[], pieces: number): Bought | null {
  let best: Bought | null = null;
  for (const offer of offers) {
    const least = Math.ceil(pieces / offer.pack);
    // Between two breaks more packs only cost more: the least that do, and each break above.
    const counts = [least, ...offer.breaks.map((each) => each.minPacks).filter((n) => n > least)];
    for (const packs of counts) {
      const price = priceOf(offer, packs);
      const isBetter =
        best === null || price < best.price || (price === best.price && packs < best.packs);
      if (isBetter) best = { offer, packs, price };
    }
  }
  return best;
}

function orderFor(
  input: BuyInput,
  item: string,
  dates: readonly PlainDate[],
): Order | "unmet" | null {
  const sorted = [...dates].sort();
  const needs = sorted.filter((date) => date <= addDays(input.today, LOOK_AHEAD_DAYS));
  const inStock = input.stock
    .filter((each) => each.item === item)
    .reduce((sum, each) => sum + each.count, 0);
  const [first, ...others] = needs.slice(inStock);
  if (first === undefined) return null;
  const { leadDays, shelfLifeDays } = input;
  // What does not keep until it has come cannot be ordered ahead.
  if (shelfLifeDays !== undefined && shelfLifeDays < leadDays) return "unmet";
  const wanted = addDays(first, -leadDays);
  const by = wanted < input.today ? input.today : wanted;
  const keeps = (date: PlainDate) =>
    shelfLifeDays === undefined || date <= addDays(by, shelfLifeDays);
  const missing = [first, ...others.filter(keeps)];
  const bought = cheapest(
    input.offers.filter((offer) => offer.item === item),
    missing.length,
  );
  if (!bought) return "unmet";
  const { offer, packs, price } = bought;
  const units = packs * offer.pack;
  // What is left of a pack serves later needs too, as long as it keeps.
  const usable = sorted.filter((date, i) => i < inStock || keeps(date));
  return {
    item,
    packs,
    units,
    price,
    by,
    coversUntil: usable[Math.min(usable.length, inStock + units) - 1]!,
  };
}

/**
 * What to order so that nothing of the coming year is missing, in the cheapest packs. Prices are in
 * minor units of the home's currency; dates later than 365 days ahead are left alone. A need that no
 * offer covers is named in `unmet`: it is no error.
 *
 * @example buy({ today: "2026-01-01", needs: [{ item: "pad", dates: ["2026-03-01", "2026-06-01"] }], stock: [], offers: [{ item: "pad", pack: 2, price: 900, breaks: [] }], leadDays: 7 }).total // 900
 */
export function buy(input: BuyInput): z.output<typeof buyOutput> {
  const byItem = new Map<string, PlainDate[]>();
  for (const { item, dates } of input.needs)
    byItem.set(item, [...(byItem.get(item) ?? []), ...dates]);
  const orders: Order[] = [];
  const unmet: string[] = [];
  for (const [item, dates] of byItem) {
    const order = orderFor(input, item, dates);
    if (order === "unmet") unmet.push(item);
    else if (order) orders.push(order);
  }
  return { orders, unmet, total: orders.reduce((sum, order) => sum + order.price, 0) };
}
