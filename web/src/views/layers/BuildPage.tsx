import { fieldLimits, hollowings, type PlanReport, type Project } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField, NumberOrNoneField, TickField } from '../../ui/Field.tsx';
import { useSay } from '../../ui/Figures.tsx';
import { Legend } from '../../ui/Legend.tsx';
import { AreasForm } from './AreasForm.tsx';

type Stacking = Project['stacking'];
const change = (next: Partial<Stacking>) => edit((p) => ({ ...p, stacking: { ...p.stacking, ...next } }));

const hollowWords: Record<(typeof hollowings)[number], string> = {
  solid: 'solid layers',
  rings: 'rings, where the layer above hides the inside',
  core: 'a hollow core with a wall all round',
};

/** How the layers are made: areas built in a way of their own, rings or a core, the bench wire, dowels, limits. */
export function BuildPage({ report }: { report: PlanReport }) {
  const { stacking, currency } = useProject();
  const { hollow, wire, dowel, most, pressed } = stacking;
  const say = useSay();
  const turn = (next: Partial<Stacking['hollow']>) => change({ hollow: { ...hollow, ...next } });
  const limit = (next: Partial<Stacking['most']>) => change({ most: { ...most, ...next } });
  return (
    <div className="grid gap-x-8 gap-y-5">
      <AreasForm report={report} />
      <fieldset className="grid grid-cols-3 gap-3">
        <Legend>Hollow inside</Legend>
        <div className="col-span-3 max-w-[380px]">
          <ChoiceField
            label="Layers are"
            value={hollow.kind}
            options={hollowings.map((value) => ({ value, text: hollowWords[value] }))}
            onValue={(kind) => turn({ kind })}
          />
        </div>
        {hollow.kind !== 'solid' && (
          <>
            <MeasureField
              label={hollow.kind === 'rings' ? 'Overlap under the layer above' : 'Wall of foam'}
              value={hollow.wallMm}
              {...fieldLimits('stacking.hollow.wallMm')}
              onValue={(wallMm) => turn({ wallMm })}
            />
            <div className="col-span-2 self-end pb-1">
              <TickField
                label="Ribs across"
                value={hollow.ribs !== null}
                onValue={(on) => turn({ ribs: on ? { everyMm: 100, widthMm: 20 } : null })}
              />
            </div>
            {hollow.ribs && (
              <>
                <MeasureField
                  label="A rib every"
                  value={hollow.ribs.everyMm}
                  {...fieldLimits('stacking.hollow.ribs.everyMm')}
                  onValue={(everyMm) => hollow.ribs && turn({ ribs: { ...hollow.ribs, everyMm } })}
                />
                <MeasureField
                  label="Width of a rib"
                  value={hollow.ribs.widthMm}
                  {...fieldLimits('stacking.hollow.ribs.widthMm')}
                  onValue={(widthMm) => hollow.ribs && turn({ ribs: { ...hollow.ribs, widthMm } })}
                />
              </>
            )}
            <p className="col-span-3 text-sm text-muted">
              {report.stack.cutOutMl >= 0.5
                ? `Saves ${say.volume(report.stack.cutOutMl)} of foam, ${say.mass(report.stack.savedG)}. Walls stay round voids and things set in; the cut-outs may serve other layers.`
                : 'Nothing is wide enough to be cut out with these walls.'}
            </p>
          </>
        )}
      </fieldset>
      <fieldset className="grid grid-cols-3 gap-3">
        <Legend>Tools</Legend>
        <div className="self-end pb-1">
          <TickField
            label="A bench wire slices sheets"
            value={wire !== null}
            onValue={(on) => change({ wire: on ? { kerfMm: 1, thinnestMm: 5 } : null })}
          />
        </div>
        {wire ? (
          <>
            <MeasureField
              label="Its kerf"
              value={wire.kerfMm}
              {...fieldLimits('stacking.wire.kerfMm')}
              onValue={(kerfMm) => change({ wire: { ...wire, kerfMm } })}
            />
            <MeasureField
              label="Thinnest slice"
              value={wire.thinnestMm}
              {...fieldLimits('stacking.wire.thinnestMm')}
              onValue={(thinnestMm) => change({ wire: { ...wire, thinnestMm } })}
            />
            <p className="col-span-3 text-xs text-muted">
              Melting foam gives off harmful fumes: outdoors or extracted, a mask with organic-vapour cartridges; follow
              the maker’s sheet.
            </p>
          </>
        ) : (
          <span className="col-span-2" />
        )}
        <MeasureField
          label="Dowels across"
          value={dowel.diameterMm}
          {...fieldLimits('stacking.dowel.diameterMm')}
          onValue={(diameterMm) => change({ dowel: { ...dowel, diameterMm } })}
        />
        <MeasureField
          label="Keep from edges"
          value={dowel.marginMm}
          {...fieldLimits('stacking.dowel.marginMm')}
          onValue={(marginMm) => change({ dowel: { ...dowel, marginMm } })}
        />
        <span className="col-span-3">
          <TickField
            label="Pinned or weighted until the glue holds"
            value={pressed}
            onValue={(is) => change({ pressed: is })}
          />
        </span>
      </fieldset>
      <fieldset className="grid grid-cols-3 gap-3">
        <Legend>At most</Legend>
        <NumberOrNoneField
          label="Layers"
          unit="layers"
          value={most.layers}
          {...fieldLimits('stacking.most.layers')}
          onValue={(layers) => limit({ layers: layers && Math.round(layers) })}
        />
        <NumberOrNoneField
          label="To carve"
          unit="L"
          value={most.carveL}
          {...fieldLimits('stacking.most.carveL')}
          onValue={(carveL) => limit({ carveL })}
        />
        <NumberOrNoneField
          label="To fill"
          unit="L"
          value={most.fillL}
          {...fieldLimits('stacking.most.fillL')}
          onValue={(fillL) => limit({ fillL })}
        />
        <NumberOrNoneField
          label="Bought"
          unit={currency}
          value={most.bought}
          {...fieldLimits('stacking.most.bought')}
          onValue={(bought) => limit({ bought })}
        />
        <NumberOrNoneField
          label="Foam and paste"
          unit="g"
          value={most.weightG}
          {...fieldLimits('stacking.most.weightG')}
          onValue={(weightG) => limit({ weightG })}
        />
        <NumberOrNoneField
          label="Levels off their joints"
          unit="mm"
          value={most.offMm}
          {...fieldLimits('stacking.most.offMm')}
          onValue={(offMm) => limit({ offMm })}
        />
        <NumberOrNoneField
          label="A litre of paste costs"
          unit={currency}
          none="not priced"
          value={stacking.pastePerL}
          {...fieldLimits('stacking.pastePerL')}
          onValue={(pastePerL) => change({ pastePerL })}
        />
      </fieldset>
    </div>
  );
}
