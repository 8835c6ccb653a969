import { WelcomeView } from "@/features/setup/components/welcome-view";

export default function Welcome() {
  return <WelcomeView />;
}
