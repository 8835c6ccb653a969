import { crosswalkOfSlot, fitOfSlot } from "./slot-fit";

describe("how a slot's filter fits", () => {
  const mm = (w: number, h: number, d?: number) => ({
    text: "",
    mm: { w, h, ...(d === undefined ? {} : { d }) },
  });
  const slot = {
    nominal: { ...mm(508, 508, 25.4), unit: "in" as const },
    opening: mm(516, 516, 26),
    seat: "rail" as const,
    media: "pleated-25" as const,
    filterCount: 1,
  };

  it("is not known before the slot is measured", () => {
    expect(fitOfSlot({ ...slot, opening: undefined } as never, undefined)).toBeNull();
  });

  it("supposes what nobody measured, and says what", () => {
    const fit = fitOfSlot(slot, undefined)!;
    // Nominal inches less half an inch in all: 20.7 mm of play each way, more than the customary 19.05.
    expect(fit.gapMm).toEqual({ w: 20.7, h: 20.7 });
    expect(fit.supposed).toEqual(["size", "drop", "airflow"]);
    // 495.3² mm² at 2 m/s are 0.4906 m³/s; leak (0.516² − 0.4953²)·0.15 = 0.0031401 m²;
    // 0.6·0.0031401·√(2·50/1.2) = 0.017199 m³/s, a little less for the flow that went past: 3.4 %.
    expect(fit.bypass).toBeCloseTo(0.034, 3);
    expect(fit.verdict).toBe("leaky");
  });

  it("takes what was measured, read and known of the system", () => {
    const known = { ...slot, measured: mm(495, 495, 25), cleanDropPa: 48 };
    const fit = fitOfSlot({ ...known, opening: mm(508, 508, 26) }, { airflowM3h: 1800 })!;
    // The hand-worked case of filter-fit itself.
    expect(fit.bypass).toBeCloseTo(0.0207, 4);
    expect(fit.supposed).toEqual([]);
  });

  it("takes the play that every slot for printed inches has for what it is: no leak", () => {
    const sixteen = { ...mm(406.4, 635, 25.4), unit: "in" as const };
    const ordinary = { ...slot, nominal: sixteen, opening: mm(409.6, 638.2, 25.4) };
    // A slot of 16 1/8 in for a filter printed 16: 5/8 of an inch in all, behind the lips of the rail.
    const fit = fitOfSlot(ordinary, undefined)!;
    expect(fit.gapMm!.w).toBeCloseTo(15.9, 1);
    expect([fit.verdict, fit.bypass! < 0.01]).toEqual(["tight", true]);
    // Measured, the same gap is a gap.
    const measured = fitOfSlot({ ...ordinary, measured: mm(393.7, 622.3, 25.4) }, undefined)!;
    expect(measured.bypass).toBeGreaterThan(0.02);
    const half = fitOfSlot({ ...ordinary, opening: mm(416, 645, 25.4) }, undefined)!;
    expect([half.verdict, half.bypass! > 0.01]).toEqual(["leaky", true]);
  });

  it("shares the air among the filters of a bank", () => {
    const known = { ...slot, measured: mm(495, 495, 25), cleanDropPa: 48 };
    const one = fitOfSlot(known, { airflowM3h: 1800 })!;
    const four = fitOfSlot({ ...known, filterCount: 4 }, { airflowM3h: 7200 })!;
    expect(four.bypass).toBe(one.bypass);
  });

  it("forgives a millimetre of the tape, and not two", () => {
    const tight = fitOfSlot({ ...slot, measured: mm(517, 516, 26) }, undefined)!;
    expect([tight.verdict, tight.bypass]).toEqual(["tight", 0]);
    const larger = fitOfSlot({ ...slot, measured: mm(518, 516, 26) }, undefined)!;
    expect([larger.verdict, larger.bypass]).toEqual(["does-not-fit", null]);
  });

  it("knows a rating elsewhere only where there is one", () => {
    expect(crosswalkOfSlot({})).toBeNull();
    expect(crosswalkOfSlot({ rating: { scheme: "MERV", class: "8" } })!.nearest.EN779).toBe("G4");
  });
});
