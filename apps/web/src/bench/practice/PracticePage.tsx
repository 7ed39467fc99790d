import { useState } from 'react';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Page } from '@/ui/Page';
import { ColourDrill } from './ColourDrill';
import { JointDrill } from './JointDrill';

/** Practice without a cable: joints with made-up faults, and counting colours. */
export function PracticePage() {
  const { project } = useProjectView();
  const [what, setWhat] = useState<'joints' | 'colours'>('joints');
  return (
    <Page
      title="Practice"
      above="Nothing here goes into the Ledger"
      back={`/p/${project.id}/bench`}
    >
      <Choice<'joints' | 'colours'>
        label="What to practise"
        value={what}
        options={[
          { value: 'joints', label: 'Joints with faults' },
          { value: 'colours', label: 'Counting colours' },
        ]}
        onChange={setWhat}
      />
      {what === 'joints' ? <JointDrill /> : <ColourDrill />}
    </Page>
  );
}
