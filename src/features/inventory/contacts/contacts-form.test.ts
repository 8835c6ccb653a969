import { contactForm } from "./contacts-form";

describe("a contact", () => {
  it("is refused where a field makes no sense", () => {
    const contact = { name: "A", role: "technician", phone: "", email: "", note: "" };
    expect(contactForm.parse(contact)).toEqual({ name: "A", role: "technician" });
    for (const wrong of [{ phone: "call me" }, { email: "a@" }, { role: "friend" }, { name: "" }])
      expect([wrong, contactForm.safeParse({ ...contact, ...wrong }).success]).toEqual([
        wrong,
        false,
      ]);
  });
});
