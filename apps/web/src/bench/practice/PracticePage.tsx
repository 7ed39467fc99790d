import { useState } from 'react';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
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
      title={t('practice')}
      above={t('nothingHereGoesIntoTheLedger')}
      back={`/p/${project.id}/bench`}
    >
      <Choice<'joints' | 'colours'>
        label={t('whatToPractise')}
        value={what}
        options={[
          { value: 'joints', label: t('splicesWithFaults') },
          { value: 'colours', label: t('countingColours') },
        ]}
        onChange={setWhat}
      />
      {what === 'joints' ? <JointDrill /> : <ColourDrill />}
    </Page>
  );
}
