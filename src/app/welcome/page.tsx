import { WelcomeView } from "@/features/inventory/homes/welcome-view";

export default function Welcome() {
  return <WelcomeView />;
}
