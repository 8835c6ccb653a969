export default function Loading() {
  return (
    <p role="status" className="py-10 text-second">
      Working it out…
    </p>
  );
}
