import Button from '@mui/material/Button';
import Card from '@mui/material/Card';
import CardActions from '@mui/material/CardActions';
import CardContent from '@mui/material/CardContent';
import { handInDemo, handInRefactor } from '../../analysis/hand-in';
import { frameworkWords } from '../../parts/frameworks';
import { demos } from '../../shipped/demos';

type Props = { onBring: (bring: () => Promise<string | undefined>) => Promise<void> };

/** The demo in each framework, with faults planted in it and without. */
export function DemoCards({ onBring }: Props) {
  return (
    <section aria-label="Demos">
      <h2>Try it on Towpath</h2>
      <p className="quiet">
        A small application about the locks of a canal. “Worn” has faults planted in it; “sound” has none. The refactor is compared with
        what stood before it.
      </p>
      <div className="demo-cards">
        {demos.map(({ framework, says, refactored }) => {
          const words = frameworkWords([framework]);
          return (
            <Card key={framework} variant="outlined" component="article" aria-label={`Towpath in ${words}`}>
              <CardContent>
                <h3>{words}</h3>
                <p>{says}</p>
              </CardContent>
              <CardActions>
                <Button
                  variant="contained"
                  aria-label={`Open the worn demo in ${words}`}
                  onClick={() => void onBring(() => handInDemo(framework, 'worn'))}
                >
                  Open, worn
                </Button>
                <Button aria-label={`Open the sound demo in ${words}`} onClick={() => void onBring(() => handInDemo(framework, 'sound'))}>
                  Sound
                </Button>
                {refactored && (
                  <Button
                    aria-label={`Compare the demo in ${words} before and after a refactor`}
                    onClick={() => void onBring(() => handInRefactor(framework))}
                  >
                    A refactor
                  </Button>
                )}
              </CardActions>
            </Card>
          );
        })}
      </div>
    </section>
  );
}
