import { ChoiceField } from '../../ui/Field.tsx';
import { useSay } from '../../ui/Figures.tsx';

/** How the model is looked at. */
export interface Look {
  show: 'ground' | 'through' | 'sheets';
  /** How far each layer is lifted from the one below, mm. */
  pulled: number;
  lightSide: number;
  lightHeight: number;
  /** Height of the eye over the ground at the left end of the section, mm at model size; null looks from outside. */
  eyeMm: number | null;
}

export const defaultLook: Look = { show: 'ground', pulled: 0, lightSide: 315, lightHeight: 40, eyeMm: null };

/** Eye heights in real metres; common practice, no source. */
const eyes = [
  { name: 'someone standing', metres: 1.6 },
  { name: 'a child', metres: 1.1 },
  { name: 'someone on horseback', metres: 2.4 },
  { name: 'an upstairs window', metres: 4.5 },
] as const;

interface Props {
  look: Look;
  onLook: (look: Look) => void;
  section: string;
  scale: number | null;
  /** Only what stands in the model and how far apart. */
  short?: boolean;
}

/** What stands in the model, where the light comes from, and where one looks from. */
export function ModelTools({ look, onLook, section, scale, short }: Props) {
  const say = useSay();
  const eyeOf = (metres: number) => (metres * 1000) / (scale ?? 1);
  const current = eyes.find(({ metres }) => scale !== null && look.eyeMm === eyeOf(metres));
  return (
    <div className="flex flex-wrap items-end gap-x-3 gap-y-1 pb-1 text-xs" role="toolbar" aria-label="Model">
      <div className="w-[136px]">
        <ChoiceField
          label="Show"
          value={look.show}
          options={[
            { value: 'ground', text: 'finished ground' },
            { value: 'through', text: 'hollows, through it' },
            { value: 'sheets', text: 'cut sheets only' },
          ]}
          onValue={(show) => onLook({ ...look, show })}
        />
      </div>
      <Slide
        label="Layers apart"
        value={look.pulled}
        most={60}
        step={5}
        text={say.mm(look.pulled)}
        onValue={(pulled) => onLook({ ...look, pulled })}
      />
      {!short && (
        <>
          <Slide
            label="Light from"
            value={look.lightSide}
            most={359}
            step={15}
            text={sideWords(look.lightSide)}
            onValue={(lightSide) => onLook({ ...look, lightSide })}
          />
          <Slide
            label="Light stands"
            value={look.lightHeight}
            least={10}
            most={85}
            step={5}
            text={`${look.lightHeight}° up`}
            onValue={(lightHeight) => onLook({ ...look, lightHeight })}
          />
          <div className="w-[158px]">
            <ChoiceField
              label="Look from"
              value={current?.name ?? 'outside'}
              options={[
                { value: 'outside', text: 'outside' },
                ...(scale === null
                  ? []
                  : eyes.map(({ name, metres }) => ({
                      value: name,
                      text: `${name} (${say.mm(eyeOf(metres))}), ${section} from its left`,
                    }))),
              ]}
              onValue={(name) => {
                const eye = eyes.find((candidate) => candidate.name === name);
                onLook({ ...look, eyeMm: eye ? eyeOf(eye.metres) : null });
              }}
            />
          </div>
        </>
      )}
      {!short && scale === null && <span className="pb-1 text-muted">Set a scale in Brief to stand in the model.</span>}
    </div>
  );
}

const sides = ['far side', 'far right', 'right', 'near right', 'near side', 'near left', 'left', 'far left'];
const sideWords = (degrees: number) => sides[Math.round(degrees / 45) % 8];

interface SlideProps {
  label: string;
  value: number;
  least?: number;
  most: number;
  step: number;
  text: string;
  onValue: (value: number) => void;
}

function Slide({ label, value, least = 0, most, step, text, onValue }: SlideProps) {
  return (
    <label className="flex flex-col">
      <span className="flex justify-between gap-2 text-muted">
        {label} <span className="figure text-graphite">{text}</span>
      </span>
      <input
        type="range"
        className="w-full min-w-[96px] accent-clay"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={text}
        onChange={(event) => onValue(Number(event.target.value))}
      />
    </label>
  );
}
