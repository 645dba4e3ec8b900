import { BenchDrill } from './BenchDrill';
import type { DrillId, DrillProps } from './drill-frame';
import { EyeDrill } from './EyeDrill';
import { MomentTasks } from './MomentTasks';
import { PanDrill } from './PanDrill';
import { StandDrill } from './StandDrill';
import { StopsDrill } from './StopsDrill';
import { Today } from './Today';

/** A drill by its name. */
export function Drill({ drill, ...props }: DrillProps & { readonly drill: DrillId }) {
  switch (drill) {
    case 'today':
      return <Today {...props} />;
    case 'pan':
      return <PanDrill {...props} />;
    case 'moment':
      return <MomentTasks {...props} />;
    case 'blur':
      return <BenchDrill {...props} />;
    case 'stops':
      return <StopsDrill {...props} />;
    case 'eye':
      return <EyeDrill {...props} />;
    case 'stand':
      return <StandDrill {...props} />;
  }
}
