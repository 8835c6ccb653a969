import { z } from "zod";
import { CONTACT_ROLES, type Contact } from "@/core/inventory/inventory";

const LONGEST = "Shorter, please.";

export const contactForm = z
  .object({
    name: z.string().min(1, "Give a name.").max(80, LONGEST),
    role: z.enum(CONTACT_ROLES, "Choose what they do."),
    phone: z.string().max(40, LONGEST),
    email: z.string().max(120, LONGEST),
    note: z.string().max(500, LONGEST),
  })
  .transform((fields, context): Omit<Contact, "id"> => {
    const problem = (name: string, message: string) =>
      context.addIssue({ code: "custom", path: [name], message });
    if (fields.phone && !/^[+\d][\d\s()/.-]{2,}$/.test(fields.phone))
      problem("phone", "Digits, as one dials them: +99 555 0142.");
    if (fields.email && !z.email().safeParse(fields.email).success)
      problem("email", "That is no e-mail address.");
    const { name, role, phone, email, note } = fields;
    return {
      name,
      role,
      ...(phone ? { phone } : {}),
      ...(email ? { email } : {}),
      ...(note ? { note } : {}),
    };
  });
