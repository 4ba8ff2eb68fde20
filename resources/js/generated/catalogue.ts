// Written by `php artisan aumbrel:catalogue` from the core; a test fails when it is stale.
import type { MaskKind, SourceKind, StripKind } from '../api/types';

export const stripKinds: StripKind[] = [
    {
        "key": "plate",
        "label": "Plate",
        "hint": "A picture: drop a file on the view",
        "family": "plate",
        "course": "Match",
        "fadesInStops": false,
        "drawn": false,
        "tip": null,
        "splits": false,
        "hangsOn": [],
        "parameters": [
            {
                "name": "picture",
                "label": "Picture",
                "type": "picture",
                "section": "plate",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "place",
                "label": "Place",
                "type": "point",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    0,
                    0
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "scale",
                "label": "Scale",
                "type": "number",
                "section": "placing",
                "unit": "×",
                "least": 0.005,
                "most": 64,
                "step": 0.005,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "turn",
                "label": "Turn",
                "type": "number",
                "section": "placing",
                "unit": "°",
                "least": -360,
                "most": 360,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "mirrored",
                "label": "Mirrored",
                "type": "switch",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "pivot",
                "label": "Pivot",
                "type": "point",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    0,
                    0
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "fit",
                "label": "Perspective",
                "type": "corners",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "straight on"
            },
            {
                "name": "stance",
                "label": "Stance",
                "type": "stance",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "stands",
                    "hangs",
                    "free"
                ],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "it seems"
            },
            {
                "name": "feet",
                "label": "Feet",
                "type": "feet",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "stance": [
                        "",
                        "stands"
                    ]
                },
                "whenEmpty": "its lower edge"
            },
            {
                "name": "wall",
                "label": "On",
                "type": "surface",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "wallsOnly": true,
                "default": null,
                "optional": true,
                "shownWhen": {
                    "stance": [
                        "hangs"
                    ]
                },
                "whenEmpty": "any wall behind it"
            },
            {
                "name": "gap",
                "label": "Gap",
                "type": "number",
                "section": "placing",
                "unit": "px",
                "least": 0,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 10,
                "optional": false,
                "shownWhen": {
                    "stance": [
                        "hangs"
                    ]
                },
                "whenEmpty": ""
            },
            {
                "name": "horizon",
                "label": "Horizon",
                "type": "line",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "not drawn"
            },
            {
                "name": "exposure",
                "label": "Exposure",
                "type": "number",
                "section": "base",
                "unit": "stops",
                "least": -6,
                "most": 6,
                "step": 0.1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "drained",
                "label": "Drained colour",
                "type": "number",
                "section": "base",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "whiteOutput",
                "label": "Whites held at",
                "type": "number",
                "section": "base",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "blackInput",
                "label": "Blacks start at",
                "type": "number",
                "section": "base",
                "unit": "%",
                "least": 0,
                "most": 95,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "grow",
                "label": "Grow or shrink",
                "type": "number",
                "section": "edge",
                "unit": "px",
                "least": -200,
                "most": 200,
                "step": 0.5,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "soften",
                "label": "Soften",
                "type": "number",
                "section": "edge",
                "unit": "px",
                "least": 0,
                "most": 200,
                "step": 0.5,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "hairBand",
                "label": "Hair band",
                "type": "number",
                "section": "edge",
                "unit": "px",
                "least": 0,
                "most": 60,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "unstain",
                "label": "Unstain",
                "type": "number",
                "section": "edge",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "fillInside",
                "label": "Fill insides",
                "type": "switch",
                "section": "edge",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "bearing",
                "label": "Bearing",
                "type": "bearing",
                "section": "direction",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "not known"
            }
        ]
    },
    {
        "key": "spot",
        "label": "Spot",
        "hint": "A cone of light seen from the side",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": true,
        "tip": null,
        "splits": false,
        "hangsOn": [
            "lamp"
        ],
        "parameters": [
            {
                "name": "colour",
                "label": "Colour",
                "type": "light colour",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": {
                    "kelvin": 3200
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "origin",
                "label": "Origin",
                "type": "point",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "target",
                "label": "Target",
                "type": "point",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "beam",
                "label": "Beam angle",
                "type": "number",
                "section": "reach",
                "unit": "°",
                "least": 0.5,
                "most": 170,
                "step": 0.5,
                "choices": [],
                "default": 26,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "field",
                "label": "Field angle",
                "type": "number",
                "section": "reach",
                "unit": "°",
                "least": 0.55,
                "most": 340,
                "step": 0.5,
                "choices": [],
                "times": {
                    "of": "beam",
                    "least": 1.05,
                    "most": 3
                },
                "default": 44,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "reachLaw",
                "label": "Reach law",
                "type": "choice",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "constant",
                    "linear",
                    "inverse square"
                ],
                "default": "linear",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "reach",
                "label": "Reach",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 1,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "reachLaw": [
                        "linear",
                        "inverse square"
                    ]
                },
                "whenEmpty": "to the target"
            },
            {
                "name": "size",
                "label": "Softening",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 0,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "reachLaw": [
                        "inverse square"
                    ]
                },
                "whenEmpty": "a third of the way"
            },
            {
                "name": "elevation",
                "label": "Elevation",
                "type": "number",
                "section": "reach",
                "unit": "°",
                "least": -90,
                "most": 90,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "softness",
                "label": "Softness",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 0,
                "most": 2000,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "spot-onto",
        "label": "Spot onto",
        "hint": "A pool of light on the floor or on a wall",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": true,
        "tip": null,
        "splits": false,
        "hangsOn": [
            "lamp"
        ],
        "parameters": [
            {
                "name": "colour",
                "label": "Colour",
                "type": "light colour",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": {
                    "kelvin": 3200
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "surface",
                "label": "Onto",
                "type": "surface",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "wallsOnly": false,
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "a wall facing you"
            },
            {
                "name": "beam",
                "label": "Beam angle",
                "type": "number",
                "section": "light",
                "unit": "°",
                "least": 0.5,
                "most": 160,
                "step": 0.5,
                "choices": [],
                "default": 50.285714285714285,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "field",
                "label": "Field angle",
                "type": "number",
                "section": "light",
                "unit": "°",
                "least": 0.55,
                "most": 168,
                "step": 0.5,
                "choices": [],
                "times": {
                    "of": "beam",
                    "least": 1.05,
                    "most": 3
                },
                "default": 88,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "lamp",
                "label": "Lamp over",
                "type": "point",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "height",
                "label": "Height",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 1,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 200,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "target",
                "label": "Target",
                "type": "point",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "straight under the lamp"
            },
            {
                "name": "reach",
                "label": "Reach",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 1,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "without end"
            },
            {
                "name": "softness",
                "label": "Softness",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 0,
                "most": 2000,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "cuts",
                "label": "Cut edges",
                "type": "cuts",
                "section": "cut",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "rim",
        "label": "Rim",
        "hint": "Light along the edge of a plate, from where it comes",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": false,
        "tip": null,
        "splits": false,
        "hangsOn": [
            "lamp",
            "sun"
        ],
        "parameters": [
            {
                "name": "colour",
                "label": "Colour",
                "type": "light colour",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": {
                    "kelvin": 4300
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "of",
                "label": "On",
                "type": "plate",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "no plate"
            },
            {
                "name": "width",
                "label": "Width",
                "type": "number",
                "section": "light",
                "unit": "px",
                "least": 0.5,
                "most": 1000,
                "step": 0.5,
                "choices": [],
                "default": 8,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "azimuth",
                "label": "Azimuth",
                "type": "number",
                "section": "direction",
                "unit": "°",
                "least": -180,
                "most": 180,
                "step": 1,
                "choices": [],
                "default": 45,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "elevation",
                "label": "Elevation",
                "type": "number",
                "section": "direction",
                "unit": "°",
                "least": -90,
                "most": 90,
                "step": 1,
                "choices": [],
                "default": -20,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "wrap",
                "label": "Wrap",
                "type": "number",
                "section": "direction",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "wash",
        "label": "Wash",
        "hint": "Coloured light over everything, or over a plate",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": false,
        "tip": null,
        "splits": true,
        "hangsOn": [],
        "parameters": [
            {
                "name": "colour",
                "label": "Colour",
                "type": "light colour",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": {
                    "kelvin": 3200
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "keyed",
                "label": "Keyed",
                "type": "choice",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "plain",
                    "by tones"
                ],
                "default": "plain",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "ramp",
                "label": "Tones",
                "type": "tone ramp",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "keyed": [
                        "by tones"
                    ]
                },
                "whenEmpty": "black to the colour"
            }
        ]
    },
    {
        "key": "paint",
        "label": "Paint",
        "hint": "Lighter above 0 stops, darker below, where you paint",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": false,
        "tip": "brush",
        "splits": false,
        "hangsOn": [],
        "parameters": [
            {
                "name": "colour",
                "label": "Colour",
                "type": "light colour",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": {
                    "swatch": "#ffffff"
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "tones",
                "label": "Only in",
                "type": "choice",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "all tones",
                    "shadows",
                    "mids",
                    "highlights"
                ],
                "default": "all tones",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "torch",
        "label": "Torch",
        "hint": "A lamp walked over the picture; it lights more where it dwells",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": false,
        "tip": "lamp",
        "splits": false,
        "hangsOn": [],
        "parameters": [
            {
                "name": "colour",
                "label": "Colour",
                "type": "light colour",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": {
                    "kelvin": 3400
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "fill",
        "label": "Flat colour",
        "hint": "A flat colour, to tint or to burn",
        "family": "flat",
        "course": "Shade",
        "fadesInStops": false,
        "drawn": false,
        "tip": null,
        "splits": false,
        "hangsOn": [],
        "parameters": [
            {
                "name": "colour",
                "label": "Colour",
                "type": "flat colour",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": "#20304a",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "base",
        "label": "Base",
        "hint": "Everything below darker, drained, ready for light",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": false,
        "tip": null,
        "splits": false,
        "hangsOn": [],
        "parameters": [
            {
                "name": "exposure",
                "label": "Exposure",
                "type": "number",
                "section": "base",
                "unit": "stops",
                "least": -6,
                "most": 6,
                "step": 0.1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "drained",
                "label": "Drained colour",
                "type": "number",
                "section": "base",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "whiteOutput",
                "label": "Whites held at",
                "type": "number",
                "section": "base",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "blackInput",
                "label": "Blacks start at",
                "type": "number",
                "section": "base",
                "unit": "%",
                "least": 0,
                "most": 95,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "group",
        "label": "Group",
        "hint": "Strips held together under one fader",
        "family": "group",
        "course": "Finish",
        "fadesInStops": false,
        "drawn": false,
        "tip": null,
        "splits": false,
        "hangsOn": [],
        "parameters": []
    }
];

export const sourceKinds: SourceKind[] = [
    {
        "key": "lamp",
        "label": "Lamp",
        "hint": "A light that stands in the scene: press where it is seen",
        "parameters": [
            {
                "name": "colour",
                "label": "Colour",
                "type": "light colour",
                "section": "source",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": {
                    "kelvin": 2800
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "place",
                "label": "Place",
                "type": "point",
                "section": "source",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    0,
                    0
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "depth",
                "label": "Toward you",
                "type": "number",
                "section": "source",
                "unit": "px",
                "least": -100000,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "unseen",
                "label": "Off the picture",
                "type": "switch",
                "section": "source",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "width",
                "label": "Width",
                "type": "number",
                "section": "source",
                "unit": "px",
                "least": 0,
                "most": 10000,
                "step": 1,
                "choices": [],
                "default": 20,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "sun",
        "label": "Sun",
        "hint": "A sun or a moon, infinitely far: press where it stands",
        "parameters": [
            {
                "name": "colour",
                "label": "Colour",
                "type": "light colour",
                "section": "source",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": {
                    "kelvin": 4800
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "azimuth",
                "label": "Azimuth",
                "type": "number",
                "section": "source",
                "unit": "°",
                "least": -180,
                "most": 180,
                "step": 1,
                "choices": [],
                "default": 60,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "elevation",
                "label": "Elevation",
                "type": "number",
                "section": "source",
                "unit": "°",
                "least": -90,
                "most": 90,
                "step": 1,
                "choices": [],
                "default": -20,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "width",
                "label": "Width",
                "type": "number",
                "section": "source",
                "unit": "°",
                "least": 0,
                "most": 60,
                "step": 0.05,
                "choices": [],
                "default": 0.53,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    }
];

export const maskKinds: MaskKind[] = [
    {
        "key": "linear",
        "label": "Linear",
        "grounds": [
            "scene"
        ],
        "parameters": [
            {
                "name": "from",
                "label": "From",
                "type": "point",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "to",
                "label": "To",
                "type": "point",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "stops",
                "label": "Stops",
                "type": "mask stops",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    {
                        "offset": 0,
                        "value": 1,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 1,
                        "value": 0,
                        "midpoint": 0.5
                    }
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "smooth",
                "label": "Smooth",
                "type": "switch",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "radial",
        "label": "Radial",
        "grounds": [
            "scene"
        ],
        "parameters": [
            {
                "name": "centre",
                "label": "Centre",
                "type": "point",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "radius",
                "label": "Radius",
                "type": "number",
                "section": "falloff",
                "unit": "px",
                "least": 1,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 200,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "secondRadius",
                "label": "Second radius",
                "type": "number",
                "section": "falloff",
                "unit": "px",
                "least": 1,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 200,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "turn",
                "label": "Turn",
                "type": "number",
                "section": "falloff",
                "unit": "°",
                "least": -360,
                "most": 360,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "inner",
                "label": "Inner radius",
                "type": "number",
                "section": "falloff",
                "unit": "px",
                "least": 0,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "stops",
                "label": "Stops",
                "type": "mask stops",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    {
                        "offset": 0,
                        "value": 1,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 1,
                        "value": 0,
                        "midpoint": 0.5
                    }
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "smooth",
                "label": "Smooth",
                "type": "switch",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "outline",
        "label": "Outline",
        "grounds": [
            "scene",
            "plate"
        ],
        "parameters": [
            {
                "name": "path",
                "label": "Outline",
                "type": "path",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "feather",
                "label": "Feather",
                "type": "number",
                "section": "falloff",
                "unit": "px",
                "least": 0,
                "most": 500,
                "step": 0.5,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "grow",
                "label": "Grow or shrink",
                "type": "number",
                "section": "falloff",
                "unit": "px",
                "least": -500,
                "most": 500,
                "step": 0.5,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "strokes",
        "label": "Strokes",
        "grounds": [
            "scene",
            "plate"
        ],
        "parameters": [
            {
                "name": "start",
                "label": "Starts",
                "type": "choice",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "hidden",
                    "shown"
                ],
                "default": "hidden",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "strokes",
                "label": "Strokes",
                "type": "strokes",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "painted cut",
        "label": "Painted cut",
        "grounds": [
            "plate"
        ],
        "parameters": [
            {
                "name": "strokes",
                "label": "Strokes",
                "type": "strokes",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    },
    {
        "key": "colour area",
        "label": "Colour area",
        "grounds": [
            "plate"
        ],
        "parameters": [
            {
                "name": "at",
                "label": "Picked at",
                "type": "point",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "tolerance",
                "label": "Tolerance",
                "type": "number",
                "section": "falloff",
                "unit": "%",
                "least": 0.5,
                "most": 100,
                "step": 0.5,
                "choices": [],
                "default": 12,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "reach",
                "label": "Takes what is",
                "type": "choice",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "touching",
                    "everywhere"
                ],
                "default": "touching",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            },
            {
                "name": "patch",
                "label": "Patch",
                "type": "number",
                "section": "falloff",
                "unit": "px",
                "least": 1,
                "most": 101,
                "step": 2,
                "choices": [],
                "default": 7,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": ""
            }
        ]
    }
];

export const modes: string[] = [
    "normal",
    "multiply",
    "screen",
    "overlay",
    "darken",
    "lighten",
    "color dodge",
    "color burn",
    "hard light",
    "soft light",
    "difference",
    "exclusion",
    "hue",
    "saturation",
    "color",
    "luminosity",
    "add",
    "kindle",
    "illuminate",
    "airlight"
];

export const linearModes: string[] = [
    "illuminate",
    "airlight"
];

export const gels: { name: string; swatch: string; transmission: number; loss: number }[] = [
    {
        "name": "straw",
        "swatch": "#ffe9a8",
        "transmission": 0.82,
        "loss": -0.29
    },
    {
        "name": "amber",
        "swatch": "#ffb347",
        "transmission": 0.58,
        "loss": -0.79
    },
    {
        "name": "ember",
        "swatch": "#ff6a2b",
        "transmission": 0.3,
        "loss": -1.74
    },
    {
        "name": "brick",
        "swatch": "#e0452c",
        "transmission": 0.16,
        "loss": -2.64
    },
    {
        "name": "blush",
        "swatch": "#ffc2c7",
        "transmission": 0.66,
        "loss": -0.6
    },
    {
        "name": "rose",
        "swatch": "#ff6f9c",
        "transmission": 0.34,
        "loss": -1.56
    },
    {
        "name": "plum",
        "swatch": "#9a4bd0",
        "transmission": 0.12,
        "loss": -3.06
    },
    {
        "name": "dusk",
        "swatch": "#6a6fe0",
        "transmission": 0.17,
        "loss": -2.56
    },
    {
        "name": "ice",
        "swatch": "#d3ecff",
        "transmission": 0.8,
        "loss": -0.32
    },
    {
        "name": "sky",
        "swatch": "#7fc4ff",
        "transmission": 0.45,
        "loss": -1.15
    },
    {
        "name": "deep sea",
        "swatch": "#1f5fe0",
        "transmission": 0.09,
        "loss": -3.47
    },
    {
        "name": "lagoon",
        "swatch": "#27c7c9",
        "transmission": 0.4,
        "loss": -1.32
    },
    {
        "name": "moss",
        "swatch": "#a9c95a",
        "transmission": 0.5,
        "loss": -1
    },
    {
        "name": "leaf",
        "swatch": "#3fae4b",
        "transmission": 0.26,
        "loss": -1.94
    },
    {
        "name": "mist",
        "swatch": "#dfe6df",
        "transmission": 0.76,
        "loss": -0.4
    }
];

export const conversions: Record<string, number> = {
    "full warming": 160,
    "half warming": 80,
    "quarter warming": 40,
    "quarter cooling": -35,
    "half cooling": -70,
    "full cooling": -140
};

export const pressures: string[] = [
    "nothing",
    "size",
    "opacity",
    "flow"
];

export const joins: string[] = [
    "intersect",
    "add",
    "take away"
];

export const levelRange: { least: number; most: number } = {
    "least": -6,
    "most": 6
};
