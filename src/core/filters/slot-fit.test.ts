import { crosswalkOfSlot, fitOfSlot } from "./slot-fit";

describe("how a slot's filter fits", () => {
  const mm = (w: number, h: number, d?: number) => ({
    text: "",
    mm: { w, h, ...(d === undefined ? {} : { d }) },
  });
  const slot = {
    nominal: { ...mm(508, 508, 25.4), unit: "in" as const },
    opening: mm(508, 508, 26),
    seat: "rail" as const,
    media: "pleated-25" as const,
    filterCount: 1,
  };

  it("is not known before the slot is measured", () => {
    expect(fitOfSlot({ ...slot, opening: undefined } as never, undefined)).toBeNull();
  });

  it("supposes what nobody measured, and says what", () => {
    const fit = fitOfSlot(slot, undefined)!;
    // Nominal inches less half an inch in all: 12.7 mm of play each way.
    expect(fit.gapMm).toEqual({ w: 12.7, h: 12.7 });
    expect(fit.supposed).toEqual(["size", "drop", "airflow"]);
    // 495.3² mm² at 2 m/s are 0.4906 m³/s; leak (0.508² − 0.4953²)·0.15 = 0.0019113 m²;
    // 0.6·0.0019113·√(2·50/1.2) = 0.010469 m³/s, a little less for the flow that went past: 2.1 %.
    expect(fit.bypass).toBeCloseTo(0.021, 3);
    expect(fit.verdict).toBe("leaky");
  });

  it("takes what was measured, read and known of the system", () => {
    const known = { ...slot, measured: mm(495, 495, 25), cleanDropPa: 48 };
    const fit = fitOfSlot(known, { airflowM3h: 1800 })!;
    // The hand-worked case of filter-fit itself.
    expect(fit.bypass).toBeCloseTo(0.0207, 4);
    expect(fit.supposed).toEqual([]);
  });

  it("shares the air among the filters of a bank", () => {
    const known = { ...slot, measured: mm(495, 495, 25), cleanDropPa: 48 };
    const one = fitOfSlot(known, { airflowM3h: 1800 })!;
    const four = fitOfSlot({ ...known, filterCount: 4 }, { airflowM3h: 7200 })!;
    expect(four.bypass).toBe(one.bypass);
  });

  it("forgives a millimetre of the tape, and not two", () => {
    const tight = fitOfSlot({ ...slot, measured: mm(509, 508, 26) }, undefined)!;
    expect([tight.verdict, tight.bypass]).toEqual(["tight", 0]);
    const larger = fitOfSlot({ ...slot, measured: mm(510, 508, 26) }, undefined)!;
    expect([larger.verdict, larger.bypass]).toEqual(["does-not-fit", null]);
  });

  it("knows a rating elsewhere only where there is one", () => {
    expect(crosswalkOfSlot({})).toBeNull();
    expect(crosswalkOfSlot({ rating: { scheme: "MERV", class: "8" } })!.nearest.EN779).toBe("G4");
  });
});
