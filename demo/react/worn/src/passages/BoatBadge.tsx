type Props = { name: string };

export function BoatBadge({ name }: Props) {
  return <strong>{name}</strong>;
}
