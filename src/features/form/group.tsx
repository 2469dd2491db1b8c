export function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <fieldset className="mt-4 border-line border-t pt-2">
      <legend className="pr-2 text-ink-2">{title}</legend>
      {children}
    </fieldset>
  );
}
