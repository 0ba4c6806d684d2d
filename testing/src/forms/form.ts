/** A project by its files; texts of those with a fault bear `¶` where it must be reported. */
export type Files = Readonly<Record<string, string>>;

/** One way in which people write a fault, as a small application. */
export type Form = {
  readonly rule: string;
  /** What is particular about it. */
  readonly form: string;
  readonly files: Files;
  /** The files that differ where the fault is mended; absent where the mended project is `files` without one part, told in words alone. */
  readonly sound: Files;
  /** Rules that may say it as well. */
  readonly or?: readonly string[];
  /** Texts of what is clicked, in turn, before the two are held against each other; `field=text` fills a field by its label. */
  readonly acts?: readonly string[];
  /** It is known, and not found yet. */
  readonly missed?: true;
  /** Nothing can be seen of it in a run: the fault is one of order, not of behaviour. */
  readonly unseen?: true;
};

type Mended = Omit<Form, 'sound'> & {
  /** What is written in place of what, in whichever file has it; none where the fault is told in words alone. */
  readonly by: readonly (readonly [from: string, to: string])[];
};

/** A form of which the mended project differs by a few texts. Throws where a text does not stand in any file. */
export function mended({ by, ...form }: Mended): Form {
  const sound: Record<string, string> = {};
  for (const [from, to] of by) {
    const clean = (file: string): string => sound[file] ?? (form.files[file] ?? '').replaceAll('¶', '');
    const file = Object.keys(form.files).find((one) => clean(one).includes(from));
    if (file === undefined) throw new Error(`${form.rule}, ${form.form}: no file has ${from}`);
    sound[file] = clean(file).replace(from, () => to);
  }
  return { ...form, sound };
}
