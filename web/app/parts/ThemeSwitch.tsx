import Button from '@mui/material/Button';
import { useColorScheme } from '@mui/material/styles';

const next = { system: 'light', light: 'dark', dark: 'system' } as const;
const words = { system: 'as the system', light: 'light', dark: 'dark' } as const;

/** Light, dark, or as the system says. */
export function ThemeSwitch() {
  const { mode, setMode } = useColorScheme();
  const now = mode ?? 'system';
  return (
    <Button
      color="inherit"
      onClick={() => setMode(next[now])}
      aria-label={`Colours: ${words[now]}. Change`}
      sx={{ whiteSpace: 'nowrap', flex: 'none', color: 'var(--faint)', fontWeight: 500 }}
    >
      Colours: {now}
    </Button>
  );
}
