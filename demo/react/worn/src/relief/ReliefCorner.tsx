import { useState } from 'react';
import { InfoBubble } from '@/parts/InfoBubble';
import { DayField } from './DayField';
import { DayTitle } from './DayTitle';
import { ReliefContext, stands } from './relief';
import { ReliefCount } from './ReliefCount';
import { ReliefDesk } from './ReliefDesk';
import { ReliefHours } from './ReliefHours';
import { ReliefLegend } from './ReliefLegend';
import { ReliefList } from './ReliefList';
import { ReliefNote } from './ReliefNote';

/** All about who stands in when a keeper cannot come. */
export function ReliefCorner() {
  const [day, setDay] = useState('Mon');
  const [asked, setAsked] = useState<string[]>([]);
  const [note, setNote] = useState('');
  const pick = (standId: string) => setAsked([...asked, standId]);

  return (
    <section>
      <InfoBubble text="A relief is asked a week before.">
        <p>{asked.length} asked</p>
      </InfoBubble>
      <DayTitle day={day} />
      <DayField day={day} onDay={setDay} />
      <ReliefContext value={stands.length}>
        <ReliefCount />
      </ReliefContext>
      <ReliefList stands={stands} onPick={pick} />
      <ReliefLegend word={day} withColour withTimes />
      <ReliefLegend word="asked" withColour withTimes />
      <ReliefLegend word={day} withHelp />
      <ReliefHours hours={asked.length * 8} word="hours asked" />
      <ReliefNote note={note} onNote={setNote} />
      <ReliefDesk />
    </section>
  );
}
