/** A paint's colour: its name on the tube, the family a shopper would put it in, and what it looks like. */
export interface Shade {
  readonly name: string;
  readonly family: string;
  readonly hex: string;
}

const rows = `
Cadmium Red|Red|#c8261d
Alizarin Crimson|Red|#8c1c2c
Vermilion|Red|#d8402a
Quinacridone Rose|Pink|#c22763
Opera Rose|Pink|#e8489a
Shell Pink|Pink|#f0c0b8
Cadmium Orange|Orange|#e8731c
Marigold|Orange|#f29a1f
Lemon Yellow|Yellow|#f2e23a
Cadmium Yellow|Yellow|#f4c414
Naples Yellow|Yellow|#ecd08c
Yellow Ochre|Yellow|#c4912f
Sap Green|Green|#4d6b2a
Viridian|Green|#24705a
Phthalo Green|Green|#0f4f42
Olive Green|Green|#6f7033
Mint|Green|#a8d8bc
Cobalt Teal|Turquoise|#1f9aa0
Turquoise|Turquoise|#21a6b0
Cerulean Blue|Blue|#2f86b8
Cobalt Blue|Blue|#2452a8
Ultramarine|Blue|#2438a8
French Ultramarine|Blue|#2b3fbf
Prussian Blue|Blue|#1c3252
Phthalo Blue|Blue|#123a7c
Indigo|Blue|#243353
Dioxazine Violet|Violet|#46266e
Ultramarine Violet|Violet|#5a3f9e
Lilac|Violet|#b49ad0
Burnt Sienna|Brown|#8a4526
Raw Sienna|Brown|#b27a3c
Burnt Umber|Brown|#57351f
Raw Umber|Brown|#6a5138
Sepia|Brown|#4a3424
Payne's Grey|Grey|#3c4654
Warm Grey|Grey|#9a9288
Cool Grey|Grey|#8b949c
Silver|Grey|#b4b8bc
Ivory Black|Black|#24221f
Lamp Black|Black|#1a1a1c
Titanium White|White|#f6f5f0
Zinc White|White|#f9f8f4
Antique Gold|Gold|#b8923a`;

export const shades: readonly Shade[] = rows
  .trim()
  .split('\n')
  .map((row) => {
    const [name, family, hex] = row.split('|') as [string, string, string];
    return { name, family, hex };
  });
