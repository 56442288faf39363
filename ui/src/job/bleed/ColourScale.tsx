import type { Knowledge } from "../../server/api";
import { Choice } from "../../kit/Choice";
import { fluidColours } from "../../kit/tokens";
import { unhurried } from "../../kit/unhurried";

interface Props {
  colours: Knowledge["colours"];
  value: string | undefined;
  onChange: (id: string) => void;
}

export const ColourScale = unhurried(function ColourScale({ colours, value, onChange }: Props) {
  const options = colours.map((colour) => ({
    id: colour.id,
    label: colour.label,
    swatch: fluidColours[colour.id],
  }));
  return <Choice label="Colour in the clear hose" options={options} value={value} onChange={onChange} />;
});
