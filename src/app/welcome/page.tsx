import { Copies } from "@/features/data/copies";
import { copiesToShow } from "@/features/data/copies-queries";
import { WelcomeView } from "@/features/inventory/homes/welcome-view";

export const dynamic = "force-dynamic";

export default async function Welcome() {
  const { copies, homes } = await copiesToShow();
  return <WelcomeView hasHome={homes.length > 0} copies={<Copies {...{ copies, homes }} />} />;
}
