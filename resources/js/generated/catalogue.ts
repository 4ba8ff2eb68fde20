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
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "picture",
                "label": "Picture",
                "type": "picture",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The picture that it is made of"
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
                "whenEmpty": "",
                "says": "Where its pivot stands in the scene"
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
                "whenEmpty": "",
                "says": "How large the picture is in the scene"
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
                "whenEmpty": "",
                "says": "Turned counterclockwise by so much"
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
                "whenEmpty": "",
                "says": "Left and right exchanged: its light comes from the other side then"
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
                "whenEmpty": "",
                "says": "The point of the picture that it is scaled and turned about"
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
                "whenEmpty": "straight on",
                "says": "The four corners of the picture, dragged one by one"
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
                "whenEmpty": "it seems",
                "says": "Whether it stands, hangs on a wall, or is free: where its shadow falls, and how it moves in space"
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
                "whenEmpty": "its lower edge",
                "says": "Where the plate touches the ground: its shadow starts there, and its distance is read there"
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
                "whenEmpty": "any wall behind it",
                "says": "The wall that it hangs on"
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
                "whenEmpty": "",
                "says": "How far in front of the wall it hangs: the further, the softer its shadow"
            },
            {
                "name": "receives",
                "label": "Takes shadows",
                "type": "switch",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {
                    "stance": [
                        "",
                        "stands",
                        "hangs"
                    ]
                },
                "whenEmpty": "",
                "says": "Shadows that others throw fall on this plate as on a wall where it stands"
            },
            {
                "name": "distance",
                "label": "Distance",
                "type": "number",
                "section": "placing",
                "unit": "×",
                "least": 0.05,
                "most": 1000,
                "step": 0.1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "where it stands",
                "says": "How far away it is, in distances of the floor's nearest row: haze covers it by that"
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
                "whenEmpty": "not drawn",
                "says": "The eye level in this picture: plates are aligned by it"
            },
            {
                "name": "roundness",
                "label": "Roundness",
                "type": "number",
                "section": "body",
                "unit": "%",
                "least": 0,
                "most": 200,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far it bulges from its outline: at 100 % a disc is a ball, at 0 it is flat"
            },
            {
                "name": "detail",
                "label": "Detail",
                "type": "number",
                "section": "body",
                "unit": "%",
                "least": -100,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far its own tones stand out: bright ones above 0, dark ones below"
            },
            {
                "name": "detailSize",
                "label": "Detail size",
                "type": "number",
                "section": "body",
                "unit": "px",
                "least": 1,
                "most": 500,
                "step": 0.5,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "by its size",
                "says": "How large that detail is, in pixels of its picture"
            },
            {
                "name": "normals",
                "label": "Normals",
                "type": "picture",
                "section": "body",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "none",
                "says": "A picture of which way each place of the plate faces, as renders bring it: lights on its body follow it"
            },
            {
                "name": "normalsUp",
                "label": "In normals",
                "type": "choice",
                "section": "body",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "as it seems",
                    "green is up",
                    "green is down"
                ],
                "default": "as it seems",
                "optional": false,
                "shownWhen": {
                    "normals": []
                },
                "whenEmpty": "",
                "says": "Which way green grows in the picture of normals: bodies bulge, which tells it"
            },
            {
                "name": "occlusion",
                "label": "Occlusion",
                "type": "picture",
                "section": "body",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "none",
                "says": "A picture of how open each place is to the sky, as renders bring it: white is open. Skylight follows it"
            },
            {
                "name": "depth",
                "label": "Depth",
                "type": "picture",
                "section": "body",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "none",
                "says": "A picture of how far away each place of the plate is, as renders bring it: haze by distance follows it"
            },
            {
                "name": "depthEnds",
                "label": "In depth",
                "type": "choice",
                "section": "body",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "white is near",
                    "black is near"
                ],
                "default": "white is near",
                "optional": false,
                "shownWhen": {
                    "depth": []
                },
                "whenEmpty": "",
                "says": "Which end of the depth picture is near"
            },
            {
                "name": "depthNear",
                "label": "Nearest",
                "type": "number",
                "section": "body",
                "unit": "×",
                "least": 0.05,
                "most": 1000,
                "step": 0.1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {
                    "depth": []
                },
                "whenEmpty": "",
                "says": "How far away the near end is, in distances of the floor's nearest row"
            },
            {
                "name": "depthFar",
                "label": "Furthest",
                "type": "number",
                "section": "body",
                "unit": "×",
                "least": 0.05,
                "most": 1000,
                "step": 0.1,
                "choices": [],
                "default": 20,
                "optional": false,
                "shownWhen": {
                    "depth": []
                },
                "whenEmpty": "",
                "says": "How far away the far end is, in distances of the floor's nearest row"
            },
            {
                "name": "depthForm",
                "label": "Its depth",
                "type": "number",
                "section": "body",
                "unit": "px",
                "least": 1,
                "most": 20000,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "depth": []
                },
                "whenEmpty": "forms nothing",
                "says": "How many pixels of its picture lie between the near and the far end: lights on its body follow that, where there are no normals"
            },
            {
                "name": "depthInverse",
                "label": "Holds 1 / distance",
                "type": "switch",
                "section": "body",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {
                    "depth": []
                },
                "whenEmpty": "",
                "says": "Some renders write one over the distance"
            },
            {
                "name": "evened",
                "label": "Evened out",
                "type": "number",
                "section": "own light",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far its own light is taken down: at 100 % it lies in its ambient light alone"
            },
            {
                "name": "ambient",
                "label": "Ambient",
                "type": "number",
                "section": "own light",
                "unit": "%",
                "least": 2,
                "most": 98,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "as it is read",
                "says": "How much of its light has no direction"
            },
            {
                "name": "evenedLevel",
                "label": "Lifted by",
                "type": "number",
                "section": "own light",
                "unit": "stops",
                "least": -6,
                "most": 6,
                "step": 0.1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "as bright as before",
                "says": "How far it is lifted while its light is taken down"
            },
            {
                "name": "hold",
                "label": "Hold",
                "type": "number",
                "section": "own light",
                "unit": "×",
                "least": 1,
                "most": 16,
                "step": 0.1,
                "choices": [],
                "default": 2,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What is finer than a few pixels is raised so many times at most: the grain of its dark side stays down"
            },
            {
                "name": "bends",
                "label": "Form from its shading",
                "type": "switch",
                "section": "own light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": true,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Its body follows what its own light shows of it, where the outline only guesses"
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
                "whenEmpty": "",
                "says": "How bright the plate is before anything is lit, in stops: lights need a dark base"
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
                "whenEmpty": "",
                "says": "How much colour is taken out before anything is lit, so that light brings its own"
            },
            {
                "name": "whitesHeldAt",
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
                "whenEmpty": "",
                "says": "The brightest tone the plate keeps before anything is lit"
            },
            {
                "name": "blacksStartAt",
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
                "whenEmpty": "",
                "says": "Tones up to here become black: the plate grows denser from below"
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
                "whenEmpty": "",
                "says": "Moves the edge outward, or inward where it is below 0"
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
                "whenEmpty": "",
                "says": "Blurs the edge by so much"
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
                "whenEmpty": "",
                "says": "How wide the band is in which single hairs are looked for"
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
                "whenEmpty": "",
                "says": "Takes the old background's colour out of the edge"
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
                "whenEmpty": "",
                "says": "Fills holes that lie wholly inside the cut-out"
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
                "whenEmpty": "not known",
                "says": "Where the light in this picture comes from, found once and used by the compass"
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
        "drawn": "from where it stands to where it aims",
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
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
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
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
                "whenEmpty": "",
                "says": "Where the light stands"
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
                "whenEmpty": "",
                "says": "Where the light aims"
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
                "whenEmpty": "",
                "says": "Inside this angle at least half of the light is there"
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
                "whenEmpty": "",
                "says": "Inside this angle at least a tenth of the light is there; outside it ends"
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
                "whenEmpty": "",
                "says": "How it grows less with distance: evenly, with the square as real lamps do, or not at all"
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
                "whenEmpty": "to the target",
                "says": "How far the light comes before it has gone"
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
                "whenEmpty": "a third of the way",
                "says": "How large the lamp is: softens the shadow line of its cone"
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
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
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
                "whenEmpty": "",
                "says": "How soft the borders of the light are"
            },
            {
                "name": "follows",
                "label": "Follows the body",
                "type": "switch",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "On the plate that it is confined to it falls on what faces it only, as its form says"
            }
        ]
    },
    {
        "key": "spot-onto",
        "label": "Pool",
        "hint": "A pool of light on the floor or on a wall",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": "from where it stands to where it aims",
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
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
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
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
                "whenEmpty": "a wall facing you",
                "says": "The floor or wall that the light falls on"
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
                "whenEmpty": "",
                "says": "Inside this angle at least half of the light is there"
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
                "whenEmpty": "",
                "says": "Inside this angle at least a tenth of the light is there; outside it ends"
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
                "whenEmpty": "",
                "says": "The place on the floor or wall that the lamp hangs straight over"
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
                "whenEmpty": "",
                "says": "How high it reaches on the picture"
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
                "whenEmpty": "straight under the lamp",
                "says": "Where the light aims"
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
                "whenEmpty": "without end",
                "says": "How far the light comes before it has gone"
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
                "whenEmpty": "",
                "says": "How soft the borders of the light are"
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
                "whenEmpty": "",
                "says": "Straight edges that stop the light, like a shutter in front of the lamp"
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
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
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
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
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
                "whenEmpty": "no plate",
                "says": "The plate whose outline it follows"
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
                "whenEmpty": "",
                "says": "How far the rim reaches into the plate"
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
                "whenEmpty": "",
                "says": "From which side the light comes, counterclockwise from the right as the camera sees it"
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
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
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
                "whenEmpty": "",
                "says": "How far the rim reaches round the body"
            }
        ]
    },
    {
        "key": "key light",
        "label": "Key light",
        "hint": "Light on the form of a plate, walked around it",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
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
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
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
                "whenEmpty": "no plate",
                "says": "The plate whose outline it follows"
            },
            {
                "name": "wrap",
                "label": "Wrap",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 10,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far it reaches round to the side away from it, as a wide light does"
            },
            {
                "name": "gloss",
                "label": "Gloss",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 4,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of it the surface mirrors"
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
                "default": 135,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "From which side the light comes, counterclockwise from the right as the camera sees it"
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
                "default": 35,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
            },
            {
                "name": "glossSize",
                "label": "Highlight",
                "type": "number",
                "section": "reach",
                "unit": "",
                "least": 2,
                "most": 200,
                "step": 1,
                "choices": [],
                "default": 20,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How small and sharp the highlight is"
            },
            {
                "name": "size",
                "label": "Softening",
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
                "whenEmpty": "a third of the way",
                "says": "Of a lamp: how far from it the light hardly grows any more"
            }
        ]
    },
    {
        "key": "skylight",
        "label": "Skylight",
        "hint": "Soft light from a whole side on the form of a plate",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
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
                    "kelvin": 7500
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
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
                "whenEmpty": "no plate",
                "says": "The plate whose outline it follows"
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
                "default": 90,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "From which side the light comes, counterclockwise from the right as the camera sees it"
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
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
            }
        ]
    },
    {
        "key": "relief",
        "label": "Relief",
        "hint": "Texture that catches the light from one side",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [
            "lamp",
            "sun"
        ],
        "parameters": [
            {
                "name": "strength",
                "label": "Strength",
                "type": "number",
                "section": "light",
                "unit": "px",
                "least": 0,
                "most": 500,
                "step": 0.5,
                "choices": [],
                "default": 8,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How high the brightest tone lies over the darkest"
            },
            {
                "name": "smooth",
                "label": "Smoothness",
                "type": "number",
                "section": "light",
                "unit": "px",
                "least": 0,
                "most": 100,
                "step": 0.1,
                "choices": [],
                "default": 1.5,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far heights are smoothed: what is finer has no relief"
            },
            {
                "name": "shade",
                "label": "Shade",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 200,
                "step": 1,
                "choices": [],
                "default": 80,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much brighter it gets toward the light, and darker away from it"
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
                "default": 135,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "From which side the light comes, counterclockwise from the right as the camera sees it"
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
                "default": 30,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
            },
            {
                "name": "heights",
                "label": "Heights",
                "type": "choice",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "what lies below",
                    "a plate",
                    "an outline",
                    "a picture"
                ],
                "default": "what lies below",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Whose tones are taken for heights, or the outline that rises to its middle"
            },
            {
                "name": "of",
                "label": "Of",
                "type": "plate",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "heights": [
                        "a plate",
                        "an outline",
                        "a picture"
                    ]
                },
                "whenEmpty": "no plate",
                "says": "The plate whose tones or outline are heights, or on which their picture lies"
            },
            {
                "name": "picture",
                "label": "Their picture",
                "type": "picture",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "heights": [
                        "a picture"
                    ]
                },
                "whenEmpty": "none",
                "says": "White is high; it shows the same place as its plate"
            },
            {
                "name": "rounding",
                "label": "Rounded over",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 1,
                "most": 20000,
                "step": 1,
                "choices": [],
                "default": 40,
                "optional": false,
                "shownWhen": {
                    "heights": [
                        "an outline"
                    ]
                },
                "whenEmpty": "",
                "says": "How far inside the outline its height is reached"
            },
            {
                "name": "channel",
                "label": "By",
                "type": "choice",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "luma",
                    "red",
                    "green",
                    "blue"
                ],
                "default": "luma",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Which of its tones are heights: brightness, or one channel"
            },
            {
                "name": "colour",
                "label": "Colour",
                "type": "light colour",
                "section": "reach",
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
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
            },
            {
                "name": "gloss",
                "label": "Gloss",
                "type": "number",
                "section": "reach",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of the light the surface mirrors"
            },
            {
                "name": "glossSize",
                "label": "Highlight",
                "type": "number",
                "section": "reach",
                "unit": "",
                "least": 2,
                "most": 200,
                "step": 1,
                "choices": [],
                "default": 20,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How small and sharp the highlight is"
            }
        ]
    },
    {
        "key": "chamfer",
        "label": "Chamfer",
        "hint": "A rounded edge of a plate that catches light",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [
            "lamp",
            "sun"
        ],
        "parameters": [
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
                "whenEmpty": "no plate",
                "says": "The plate whose outline it follows"
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
                "default": 12,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far inside its outline the edge has risen"
            },
            {
                "name": "roundness",
                "label": "Roundness",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 70,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "From a flat slope to a quarter of a circle"
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
                "default": 135,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "From which side the light comes, counterclockwise from the right as the camera sees it"
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
                "default": 30,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
            },
            {
                "name": "lights",
                "label": "Lights",
                "type": "number",
                "section": "reach",
                "unit": "%",
                "least": 0,
                "most": 200,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much brighter it gets toward the light"
            },
            {
                "name": "shades",
                "label": "Shades",
                "type": "number",
                "section": "reach",
                "unit": "%",
                "least": 0,
                "most": 200,
                "step": 1,
                "choices": [],
                "default": 80,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much darker it gets away from the light"
            },
            {
                "name": "smooth",
                "label": "Smoothness",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 0,
                "most": 100,
                "step": 0.1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far the edge is smoothed"
            },
            {
                "name": "colour",
                "label": "Colour",
                "type": "light colour",
                "section": "reach",
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
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
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
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": {
            "label": "Split pair",
            "hint": "Two gels that share one line"
        },
        "likens": false,
        "shines": null,
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
                "shownWhen": {
                    "keyed": [
                        "plain",
                        "by tones"
                    ]
                },
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
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
                    "by tones",
                    "a linear ramp",
                    "a radial ramp"
                ],
                "default": "plain",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The light is stronger where the picture beneath has certain tones"
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
                "whenEmpty": "black to the colour",
                "says": "Which tones of the picture beneath are lit how much"
            },
            {
                "name": "stops",
                "label": "Ramp",
                "type": "colour ramp",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    {
                        "offset": 0,
                        "colour": "#ffab5e",
                        "opacity": 1,
                        "midpoint": 0.5,
                        "smooth": true
                    },
                    {
                        "offset": 1,
                        "colour": "#5f8dff",
                        "opacity": 1,
                        "midpoint": 0.5
                    }
                ],
                "optional": false,
                "shownWhen": {
                    "keyed": [
                        "a linear ramp",
                        "a radial ramp"
                    ]
                },
                "whenEmpty": "",
                "says": "Its colours from one end to the other, and how much there is of each"
            },
            {
                "name": "from",
                "label": "Ramp from",
                "type": "point",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "keyed": [
                        "a linear ramp",
                        "a radial ramp"
                    ]
                },
                "whenEmpty": "the top of the picture",
                "says": "Where the first stop of the ramp lies; a radial one goes round it"
            },
            {
                "name": "to",
                "label": "Ramp to",
                "type": "point",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "keyed": [
                        "a linear ramp",
                        "a radial ramp"
                    ]
                },
                "whenEmpty": "the bottom of the picture",
                "says": "Where the last stop of the ramp lies"
            },
            {
                "name": "follows",
                "label": "Follows the body",
                "type": "switch",
                "section": "surroundings",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "On the plate that it is confined to it falls on what faces it only, as its form says"
            },
            {
                "name": "azimuth",
                "label": "Azimuth",
                "type": "number",
                "section": "surroundings",
                "unit": "°",
                "least": -180,
                "most": 180,
                "step": 1,
                "choices": [],
                "default": 120,
                "optional": false,
                "shownWhen": {
                    "follows": [
                        "true"
                    ]
                },
                "whenEmpty": "",
                "says": "From which side the light comes, counterclockwise from the right as the camera sees it"
            },
            {
                "name": "elevation",
                "label": "Elevation",
                "type": "number",
                "section": "surroundings",
                "unit": "°",
                "least": -90,
                "most": 90,
                "step": 1,
                "choices": [],
                "default": 35,
                "optional": false,
                "shownWhen": {
                    "follows": [
                        "true"
                    ]
                },
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
            }
        ]
    },
    {
        "key": "glow",
        "label": "Glow",
        "hint": "Something that shines: core, body, fog and halos",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": "areas",
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
                    "kelvin": 2300
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
            },
            {
                "name": "from",
                "label": "Shines",
                "type": "choice",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "a round lamp",
                    "what is drawn",
                    "a plate's outline",
                    "a plate's bright tones"
                ],
                "default": "a round lamp",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What shines: a disc, what is drawn, a plate's outline, or its bright tones"
            },
            {
                "name": "centre",
                "label": "Centre",
                "type": "point",
                "section": "light",
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
                "shownWhen": {
                    "from": [
                        "a round lamp"
                    ]
                },
                "whenEmpty": "",
                "says": "The middle of it on the picture"
            },
            {
                "name": "size",
                "label": "Size",
                "type": "number",
                "section": "light",
                "unit": "px",
                "least": 0.5,
                "most": 8000,
                "step": 0.5,
                "choices": [],
                "default": 40,
                "optional": false,
                "shownWhen": {
                    "from": [
                        "a round lamp"
                    ]
                },
                "whenEmpty": "",
                "says": "How large it is"
            },
            {
                "name": "of",
                "label": "Of",
                "type": "plate",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "from": [
                        "what is drawn",
                        "a plate's outline",
                        "a plate's bright tones"
                    ]
                },
                "whenEmpty": "no plate",
                "says": "The plate whose outline or bright tones shine"
            },
            {
                "name": "threshold",
                "label": "Brighter than",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 80,
                "optional": false,
                "shownWhen": {
                    "from": [
                        "a plate's bright tones"
                    ]
                },
                "whenEmpty": "",
                "says": "Tones brighter than this shine"
            },
            {
                "name": "knee",
                "label": "Soft by",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 50,
                "step": 1,
                "choices": [],
                "default": 10,
                "optional": false,
                "shownWhen": {
                    "from": [
                        "a plate's bright tones"
                    ]
                },
                "whenEmpty": "",
                "says": "How softly tones about the threshold begin to shine"
            },
            {
                "name": "reach",
                "label": "Reach",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 5,
                "most": 1000,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far the outermost shell falls off, as a share of all shells"
            },
            {
                "name": "shells",
                "label": "Shells",
                "type": "shells",
                "section": "shells",
                "unit": "",
                "least": 0,
                "most": 12,
                "step": 1,
                "choices": [],
                "default": [
                    {
                        "part": "core",
                        "radius": 5,
                        "level": 1,
                        "pale": 90
                    },
                    {
                        "part": "body",
                        "radius": 3,
                        "level": 0.4,
                        "pale": 35
                    },
                    {
                        "part": "fog",
                        "radius": 13,
                        "level": 0.2,
                        "pale": 10
                    },
                    {
                        "part": "halo",
                        "radius": 35,
                        "level": 0.2,
                        "pale": 0
                    },
                    {
                        "part": "halo",
                        "radius": 95,
                        "level": 1,
                        "pale": 0
                    },
                    {
                        "part": "halo",
                        "radius": 240,
                        "level": 1.6,
                        "pale": 0
                    }
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The layers of the glow from its heart outward, each with its radius and level"
            },
            {
                "name": "keptInside",
                "label": "Kept inside its shape",
                "type": "switch",
                "section": "surroundings",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The glow does not leave the shape that shines"
            },
            {
                "name": "spill",
                "label": "Spill",
                "type": "switch",
                "section": "surroundings",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The surroundings catch some of the glow"
            },
            {
                "name": "spillLevel",
                "label": "Spill level",
                "type": "number",
                "section": "surroundings",
                "unit": "stops",
                "least": -6,
                "most": 6,
                "step": 0.1,
                "choices": [],
                "default": 0.5,
                "optional": false,
                "shownWhen": {
                    "spill": [
                        "true"
                    ]
                },
                "whenEmpty": "",
                "says": "How bright the surroundings become, in stops below the glow"
            },
            {
                "name": "spillRadius",
                "label": "Spill radius",
                "type": "number",
                "section": "surroundings",
                "unit": "px",
                "least": 0.5,
                "most": 4000,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {
                    "spill": [
                        "true"
                    ]
                },
                "whenEmpty": "",
                "says": "How far into the surroundings it reaches"
            },
            {
                "name": "between",
                "label": "Let tones through",
                "type": "switch",
                "section": "surroundings",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Dark and brightest tones beneath come through the glow, so that it seems to lie behind grain and glare"
            },
            {
                "name": "darks",
                "label": "Darker than",
                "type": "number",
                "section": "surroundings",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 12,
                "optional": false,
                "shownWhen": {
                    "between": [
                        "true"
                    ]
                },
                "whenEmpty": "",
                "says": "Tones darker than this come through"
            },
            {
                "name": "brights",
                "label": "Brighter than",
                "type": "number",
                "section": "surroundings",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 92,
                "optional": false,
                "shownWhen": {
                    "between": [
                        "true"
                    ]
                },
                "whenEmpty": "",
                "says": "Only tones brighter than this count as shining"
            },
            {
                "name": "takesPlace",
                "label": "At its source's place",
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
                "whenEmpty": "",
                "says": "It stands where its source is seen"
            },
            {
                "name": "takesColour",
                "label": "In its source's colour",
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
                "whenEmpty": "",
                "says": "It has the colour of its source"
            }
        ]
    },
    {
        "key": "halo",
        "label": "Halo",
        "hint": "Colours round a whole plate, behind it and faintly over it",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "of",
                "label": "Of",
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
                "whenEmpty": "no plate",
                "says": "The plate whose outline it follows"
            },
            {
                "name": "ramp",
                "label": "Colours",
                "type": "colour ramp",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    {
                        "offset": 0,
                        "colour": "#fff1d6",
                        "opacity": 1,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 0.45,
                        "colour": "#ffb35c",
                        "opacity": 0.9,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 0.75,
                        "colour": "#f2683c",
                        "opacity": 0.75,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 1,
                        "colour": "#7a2b6b",
                        "opacity": 0,
                        "midpoint": 0.5
                    }
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colours from the plate's outline outward"
            },
            {
                "name": "spread",
                "label": "Spread",
                "type": "number",
                "section": "light",
                "unit": "px",
                "least": 0.5,
                "most": 4000,
                "step": 1,
                "choices": [],
                "default": 60,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far the halo reaches behind the plate"
            },
            {
                "name": "front",
                "label": "Over its front",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 18,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of the halo also passes over the plate, so that it seems to stand in it"
            },
            {
                "name": "frontMode",
                "label": "Front mode",
                "type": "choice",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
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
                ],
                "default": "color",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How the faint pass over the front is mixed"
            },
            {
                "name": "shift",
                "label": "Shift",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 0,
                "most": 20000,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far the halo is moved behind the plate"
            },
            {
                "name": "shiftTo",
                "label": "Shift to",
                "type": "number",
                "section": "reach",
                "unit": "°",
                "least": -180,
                "most": 180,
                "step": 1,
                "choices": [],
                "default": 90,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "To which side the halo is moved"
            },
            {
                "name": "pull",
                "label": "Pull",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 0,
                "most": 4000,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How strongly the halo is drawn out to one side"
            },
            {
                "name": "pullTo",
                "label": "Pull to",
                "type": "number",
                "section": "reach",
                "unit": "°",
                "least": -180,
                "most": 180,
                "step": 1,
                "choices": [],
                "default": 90,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "To which side the halo is drawn out"
            }
        ]
    },
    {
        "key": "line",
        "label": "Line of light",
        "hint": "A line that shines: a filament, a tube, a ring",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": "lines",
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
                    "swatch": "#ff8a5c"
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
            },
            {
                "name": "width",
                "label": "Width",
                "type": "number",
                "section": "light",
                "unit": "px",
                "least": 0.25,
                "most": 400,
                "step": 0.25,
                "choices": [],
                "default": 4,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How thick the line is"
            },
            {
                "name": "blur",
                "label": "Twin blurred by",
                "type": "number",
                "section": "light",
                "unit": "px",
                "least": 0.5,
                "most": 2000,
                "step": 0.5,
                "choices": [],
                "default": 14,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far the soft twin beneath the line is blurred"
            },
            {
                "name": "twin",
                "label": "Twin level",
                "type": "number",
                "section": "light",
                "unit": "stops",
                "least": -6,
                "most": 6,
                "step": 0.1,
                "choices": [],
                "default": 1.6,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How bright the soft twin beneath the line is, in stops"
            },
            {
                "name": "fade",
                "label": "Along it",
                "type": "mask stops",
                "section": "along",
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
                        "value": 1,
                        "midpoint": 0.5
                    }
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How bright the line is along its way"
            },
            {
                "name": "along",
                "label": "Follows",
                "type": "choice",
                "section": "along",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "what is drawn",
                    "a plate's outline"
                ],
                "default": "what is drawn",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Whose outline shines: the plate's, or the lines that are drawn"
            },
            {
                "name": "closed",
                "label": "Closed",
                "type": "switch",
                "section": "along",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {
                    "along": [
                        "what is drawn"
                    ]
                },
                "whenEmpty": "",
                "says": "Whether the last point is joined to the first one"
            },
            {
                "name": "of",
                "label": "Of",
                "type": "plate",
                "section": "along",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "along": [
                        "a plate's outline"
                    ]
                },
                "whenEmpty": "no plate",
                "says": "The plate whose outline it follows"
            },
            {
                "name": "pale",
                "label": "Pale heart",
                "type": "number",
                "section": "along",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 85,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much paler and hotter the heart of the line is"
            },
            {
                "name": "takesColour",
                "label": "In its source's colour",
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
                "whenEmpty": "",
                "says": "It has the colour of its source"
            }
        ]
    },
    {
        "key": "sun",
        "label": "Sun",
        "hint": "A sun in the picture: white, orange, red, and spilling over",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [
            "sun"
        ],
        "parameters": [
            {
                "name": "stops",
                "label": "Colours",
                "type": "colour ramp",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    {
                        "offset": 0,
                        "colour": "#ffffff",
                        "opacity": 1,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 0.42,
                        "colour": "#fff3d0",
                        "opacity": 1,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 0.72,
                        "colour": "#ffb347",
                        "opacity": 0.95,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 1,
                        "colour": "#ff5a2e",
                        "opacity": 0.75,
                        "midpoint": 0.5
                    }
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colours of the disc from its middle outward"
            },
            {
                "name": "centre",
                "label": "Centre",
                "type": "point",
                "section": "light",
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
                "whenEmpty": "",
                "says": "The middle of it on the picture"
            },
            {
                "name": "radius",
                "label": "Radius",
                "type": "number",
                "section": "light",
                "unit": "px",
                "least": 0.5,
                "most": 8000,
                "step": 0.5,
                "choices": [],
                "default": 70,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far it reaches from its middle"
            },
            {
                "name": "behind",
                "label": "Behind",
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
                "whenEmpty": "nothing",
                "says": "The plate that the sun stands behind: it comes out beside its outline"
            },
            {
                "name": "softness",
                "label": "Softness",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 0,
                "most": 4000,
                "step": 1,
                "choices": [],
                "default": 20,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How soft the borders of the light are"
            },
            {
                "name": "bloom",
                "label": "Bloom",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 1,
                "most": 4000,
                "step": 1,
                "choices": [],
                "default": 140,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far the glare round the disc reaches"
            },
            {
                "name": "bloomLevel",
                "label": "Bloom level",
                "type": "number",
                "section": "reach",
                "unit": "stops",
                "least": -6,
                "most": 6,
                "step": 0.1,
                "choices": [],
                "default": -0.4,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How bright the glare is beside the disc, in stops"
            }
        ]
    },
    {
        "key": "beam",
        "label": "Beam",
        "hint": "A shaft of light in the air, with smoke and dust in it",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": "from where it stands to where it aims",
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
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
                    "kelvin": 3400
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
            },
            {
                "name": "end",
                "label": "Fades over the last",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 60,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Over which last part the beam fades, so that it ends before the ground"
            },
            {
                "name": "inSmoke",
                "label": "Smoke",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 55,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of the beam is seen in smoke rather than in clear air"
            },
            {
                "name": "dust",
                "label": "Dust",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 40,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of the beam is seen on specks"
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
                "whenEmpty": "",
                "says": "Where the light stands"
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
                "whenEmpty": "",
                "says": "Where the light aims"
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
                "default": 16,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Inside this angle at least half of the light is there"
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
                "default": 26,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Inside this angle at least a tenth of the light is there; outside it ends"
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
                "whenEmpty": "to the target",
                "says": "How far the light comes before it has gone"
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
                "default": 4,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How soft the borders of the light are"
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
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
            },
            {
                "name": "smokeSize",
                "label": "Size",
                "type": "number",
                "section": "smoke",
                "unit": "px",
                "least": 4,
                "most": 8000,
                "step": 1,
                "choices": [],
                "default": 160,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How large the wafts of smoke are"
            },
            {
                "name": "density",
                "label": "Density",
                "type": "number",
                "section": "smoke",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 55,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of the way is filled: with smoke, or with leaves"
            },
            {
                "name": "drift",
                "label": "Drift",
                "type": "number",
                "section": "smoke",
                "unit": "°",
                "least": -180,
                "most": 180,
                "step": 1,
                "choices": [],
                "default": 15,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Which way the smoke is drawn"
            },
            {
                "name": "stretch",
                "label": "Stretch",
                "type": "number",
                "section": "smoke",
                "unit": "×",
                "least": 0.2,
                "most": 10,
                "step": 0.1,
                "choices": [],
                "default": 2,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much longer the wafts are along the drift"
            },
            {
                "name": "specks",
                "label": "Specks a megapixel",
                "type": "number",
                "section": "dust",
                "unit": "",
                "least": 1,
                "most": 20000,
                "step": 10,
                "choices": [],
                "default": 900,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How many specks hang in a million pixels of the beam"
            },
            {
                "name": "speckSize",
                "label": "Largest",
                "type": "number",
                "section": "dust",
                "unit": "px",
                "least": 0.4,
                "most": 200,
                "step": 0.1,
                "choices": [],
                "default": 6,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How large the largest specks are"
            },
            {
                "name": "outOfFocus",
                "label": "Out of focus",
                "type": "number",
                "section": "dust",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 45,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How many specks are near and blurred to discs"
            },
            {
                "name": "seed",
                "label": "Seed",
                "type": "number",
                "section": "dust",
                "unit": "",
                "least": 0,
                "most": 99999,
                "step": 1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Another number gives another pattern of the same kind"
            }
        ]
    },
    {
        "key": "pattern",
        "label": "Pattern",
        "hint": "Light through a window, blinds, leaves or a slide",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
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
                    "kelvin": 3600
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
            },
            {
                "name": "through",
                "label": "Through",
                "type": "choice",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "a window",
                    "blinds",
                    "leaves",
                    "a picture"
                ],
                "default": "a window",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What the light comes through"
            },
            {
                "name": "picture",
                "label": "Slide",
                "type": "picture",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "through": [
                        "a picture"
                    ]
                },
                "whenEmpty": "no picture",
                "says": "The picture that it is made of"
            },
            {
                "name": "across",
                "label": "Panes across",
                "type": "number",
                "section": "light",
                "unit": "",
                "least": 1,
                "most": 40,
                "step": 1,
                "choices": [],
                "default": 2,
                "optional": false,
                "shownWhen": {
                    "through": [
                        "a window"
                    ]
                },
                "whenEmpty": "",
                "says": "How many panes stand side by side"
            },
            {
                "name": "down",
                "label": "Panes down",
                "type": "number",
                "section": "light",
                "unit": "",
                "least": 1,
                "most": 40,
                "step": 1,
                "choices": [],
                "default": 3,
                "optional": false,
                "shownWhen": {
                    "through": [
                        "a window"
                    ]
                },
                "whenEmpty": "",
                "says": "How many panes stand one above the other"
            },
            {
                "name": "bars",
                "label": "Bars",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 90,
                "step": 1,
                "choices": [],
                "default": 12,
                "optional": false,
                "shownWhen": {
                    "through": [
                        "a window"
                    ]
                },
                "whenEmpty": "",
                "says": "How much of a pane the bars between the panes take from the light"
            },
            {
                "name": "slats",
                "label": "Slats",
                "type": "number",
                "section": "light",
                "unit": "",
                "least": 1,
                "most": 120,
                "step": 1,
                "choices": [],
                "default": 9,
                "optional": false,
                "shownWhen": {
                    "through": [
                        "blinds"
                    ]
                },
                "whenEmpty": "",
                "says": "How many slats the blinds have"
            },
            {
                "name": "tilt",
                "label": "Tilt",
                "type": "number",
                "section": "light",
                "unit": "°",
                "least": 0,
                "most": 90,
                "step": 1,
                "choices": [],
                "default": 40,
                "optional": false,
                "shownWhen": {
                    "through": [
                        "blinds"
                    ]
                },
                "whenEmpty": "",
                "says": "How far the slats are turned: narrow lines at 0, all light at 90"
            },
            {
                "name": "crown",
                "label": "Leaves across",
                "type": "number",
                "section": "light",
                "unit": "",
                "least": 2,
                "most": 60,
                "step": 1,
                "choices": [],
                "default": 11,
                "optional": false,
                "shownWhen": {
                    "through": [
                        "leaves"
                    ]
                },
                "whenEmpty": "",
                "says": "How many leaves lie side by side: small crowns throw small spots"
            },
            {
                "name": "density",
                "label": "Density",
                "type": "number",
                "section": "light",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 62,
                "optional": false,
                "shownWhen": {
                    "through": [
                        "leaves"
                    ]
                },
                "whenEmpty": "",
                "says": "How much of the way is filled: with smoke, or with leaves"
            },
            {
                "name": "seed",
                "label": "Seed",
                "type": "number",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 99999,
                "step": 1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {
                    "through": [
                        "leaves"
                    ]
                },
                "whenEmpty": "",
                "says": "Another number gives another pattern of the same kind"
            },
            {
                "name": "gain",
                "label": "Gain",
                "type": "number",
                "section": "light",
                "unit": "stops",
                "least": -4,
                "most": 4,
                "step": 0.1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {
                    "through": [
                        "a picture"
                    ]
                },
                "whenEmpty": "",
                "says": "Brightens or darkens the picture that the light goes through, in stops"
            },
            {
                "name": "surface",
                "label": "On",
                "type": "surface",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "wallsOnly": false,
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "four corners",
                "says": "The floor or wall that the light falls on"
            },
            {
                "name": "corners",
                "label": "Corners",
                "type": "corners",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "none",
                "says": "The four corners that the pattern is fitted to"
            },
            {
                "name": "middle",
                "label": "Middle",
                "type": "point",
                "section": "reach",
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
                "whenEmpty": "",
                "says": "The middle of it on the picture"
            },
            {
                "name": "width",
                "label": "Width",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 1,
                "most": 20000,
                "step": 1,
                "choices": [],
                "default": 300,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How wide it is"
            },
            {
                "name": "height",
                "label": "Height",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 1,
                "most": 20000,
                "step": 1,
                "choices": [],
                "default": 400,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How high it reaches on the picture"
            },
            {
                "name": "turn",
                "label": "Turn",
                "type": "number",
                "section": "reach",
                "unit": "°",
                "least": -360,
                "most": 360,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Turned counterclockwise by so much"
            },
            {
                "name": "lean",
                "label": "Lean",
                "type": "number",
                "section": "reach",
                "unit": "°",
                "least": -75,
                "most": 75,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Slants the pattern, as light from the side does"
            },
            {
                "name": "tight",
                "label": "Tight blur",
                "type": "number",
                "section": "softness",
                "unit": "px",
                "least": 0,
                "most": 2000,
                "step": 0.5,
                "choices": [],
                "default": 6,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The sharp one of two blurs: how near the window is"
            },
            {
                "name": "wide",
                "label": "Wide blur",
                "type": "number",
                "section": "softness",
                "unit": "px",
                "least": 0,
                "most": 4000,
                "step": 0.5,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "5 times the tight one",
                "says": "The soft one of two blurs: the glow about the pattern"
            },
            {
                "name": "share",
                "label": "Share of the wide",
                "type": "number",
                "section": "softness",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 0.1,
                "choices": [],
                "default": 16.7,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of the wide blur is mixed with the tight one"
            },
            {
                "name": "follows",
                "label": "Follows the body",
                "type": "switch",
                "section": "surroundings",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "On the plate that it is confined to it falls on what faces it only, as its form says"
            },
            {
                "name": "azimuth",
                "label": "Azimuth",
                "type": "number",
                "section": "surroundings",
                "unit": "°",
                "least": -180,
                "most": 180,
                "step": 1,
                "choices": [],
                "default": 120,
                "optional": false,
                "shownWhen": {
                    "follows": [
                        "true"
                    ]
                },
                "whenEmpty": "",
                "says": "From which side the light comes, counterclockwise from the right as the camera sees it"
            },
            {
                "name": "elevation",
                "label": "Elevation",
                "type": "number",
                "section": "surroundings",
                "unit": "°",
                "least": -90,
                "most": 90,
                "step": 1,
                "choices": [],
                "default": 35,
                "optional": false,
                "shownWhen": {
                    "follows": [
                        "true"
                    ]
                },
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
            }
        ]
    },
    {
        "key": "leak",
        "label": "Leak",
        "hint": "Stray light, smoke, bokeh or a picture, used as light",
        "family": "light",
        "course": "Light",
        "fadesInStops": true,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [
            "lamp",
            "sun"
        ],
        "parameters": [
            {
                "name": "colours",
                "label": "Colours",
                "type": "choice",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "by brightness",
                    "one colour",
                    "its own"
                ],
                "default": "by brightness",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colours that the light runs through, from its heart outward"
            },
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
                    "swatch": "#6fa8ff"
                },
                "optional": false,
                "shownWhen": {
                    "colours": [
                        "one colour"
                    ]
                },
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
            },
            {
                "name": "ramp",
                "label": "Ramp",
                "type": "colour ramp",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    {
                        "offset": 0,
                        "colour": "#ffe9bd",
                        "opacity": 1,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 0.4,
                        "colour": "#ff9d42",
                        "opacity": 1,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 0.75,
                        "colour": "#e8402b",
                        "opacity": 1,
                        "midpoint": 0.5
                    },
                    {
                        "offset": 1,
                        "colour": "#7a1020",
                        "opacity": 0.9,
                        "midpoint": 0.5
                    }
                ],
                "optional": false,
                "shownWhen": {
                    "colours": [
                        "by brightness"
                    ]
                },
                "whenEmpty": "",
                "says": "The colours that it runs through"
            },
            {
                "name": "texture",
                "label": "Texture",
                "type": "choice",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "leak",
                    "smoke",
                    "clouds",
                    "dust",
                    "bokeh",
                    "a picture"
                ],
                "default": "leak",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What the light is broken by"
            },
            {
                "name": "picture",
                "label": "Picture",
                "type": "picture",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "texture": [
                        "a picture"
                    ]
                },
                "whenEmpty": "no picture",
                "says": "The picture that it is made of"
            },
            {
                "name": "seed",
                "label": "Seed",
                "type": "number",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 99999,
                "step": 1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {
                    "texture": [
                        "leak",
                        "smoke",
                        "clouds",
                        "dust",
                        "bokeh"
                    ]
                },
                "whenEmpty": "",
                "says": "Another number gives another pattern of the same kind"
            },
            {
                "name": "middle",
                "label": "Middle",
                "type": "point",
                "section": "reach",
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
                "whenEmpty": "",
                "says": "The middle of it on the picture"
            },
            {
                "name": "width",
                "label": "Width",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 1,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 1500,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How wide it is"
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
                "default": 1000,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How high it reaches on the picture"
            },
            {
                "name": "turn",
                "label": "Turn",
                "type": "number",
                "section": "reach",
                "unit": "°",
                "least": -360,
                "most": 360,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Turned counterclockwise by so much"
            },
            {
                "name": "blacks",
                "label": "Blacks start at",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": 0,
                "most": 95,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Tones of the texture up to here add nothing: its border and its fog go"
            },
            {
                "name": "gain",
                "label": "Gain",
                "type": "number",
                "section": "tone",
                "unit": "stops",
                "least": -4,
                "most": 4,
                "step": 0.1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Brightens or darkens the picture that the light goes through, in stops"
            },
            {
                "name": "softness",
                "label": "Softness",
                "type": "number",
                "section": "tone",
                "unit": "px",
                "least": 0,
                "most": 2000,
                "step": 0.5,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How soft the borders of the light are"
            },
            {
                "name": "takesColour",
                "label": "In its source's colour",
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
                "whenEmpty": "",
                "says": "It has the colour of its source"
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
        "drawn": null,
        "liesUnder": false,
        "tip": "brush",
        "pair": null,
        "likens": false,
        "shines": null,
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
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
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
                "whenEmpty": "",
                "says": "Strokes light dark, middle or bright tones only"
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
        "drawn": null,
        "liesUnder": false,
        "tip": "lamp",
        "pair": null,
        "likens": false,
        "shines": null,
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
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
            }
        ]
    },
    {
        "key": "cast",
        "label": "Cast shadow",
        "hint": "The shadow of a plate on the ground and up the walls",
        "family": "shadow",
        "course": "Shade",
        "fadesInStops": false,
        "drawn": "from the feet of a plate to where the tip of its shadow falls",
        "liesUnder": true,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [
            "lamp",
            "sun"
        ],
        "parameters": [
            {
                "name": "of",
                "label": "Of",
                "type": "plates",
                "section": "shadow",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The plates whose outlines throw it"
            },
            {
                "name": "colour",
                "label": "Colour",
                "type": "flat colour",
                "section": "shadow",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": "#11141f",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What the ambient light leaves in the shadow: seldom black"
            },
            {
                "name": "tip",
                "label": "Left at the tip",
                "type": "number",
                "section": "shadow",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 60,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How dense the shadow still is at its far end"
            },
            {
                "name": "contact",
                "label": "Contact softness",
                "type": "number",
                "section": "softness",
                "unit": "px",
                "least": 0,
                "most": 500,
                "step": 0.1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How soft the shadow is where it begins: nothing in it is sharper"
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
                "default": 125,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "From which side the light comes, counterclockwise from the right as the camera sees it"
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
                "default": -25,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
            },
            {
                "name": "width",
                "label": "Light's width",
                "type": "number",
                "section": "softness",
                "unit": "°",
                "least": 0,
                "most": 90,
                "step": 0.1,
                "choices": [],
                "default": 1.5,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How large the light is: larger ones throw softer shadows with distance"
            },
            {
                "name": "filled",
                "label": "Insides filled",
                "type": "switch",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Holes in the outline throw no light through the shadow"
            },
            {
                "name": "climbs",
                "label": "Climbs walls",
                "type": "switch",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": true,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "A shadow that reaches the foot of a wall goes up it"
            },
            {
                "name": "bends",
                "label": "Bends",
                "type": "bends",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Where the shadow is dragged to follow ground that is not flat: a step, a kerb"
            }
        ]
    },
    {
        "key": "wall",
        "label": "Wall shadow",
        "hint": "The shadow of something that hangs, on the wall behind it",
        "family": "shadow",
        "course": "Shade",
        "fadesInStops": false,
        "drawn": "from the middle of a plate to where its shadow falls",
        "liesUnder": true,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [
            "lamp",
            "sun"
        ],
        "parameters": [
            {
                "name": "of",
                "label": "Of",
                "type": "plates",
                "section": "shadow",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The plates whose outlines throw it"
            },
            {
                "name": "colour",
                "label": "Colour",
                "type": "flat colour",
                "section": "shadow",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": "#11141f",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What the ambient light leaves in the shadow: seldom black"
            },
            {
                "name": "gap",
                "label": "Gap",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 0,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "as each plate hangs",
                "says": "How far before the wall its plates hang: the further, the further off and the softer their shadow"
            },
            {
                "name": "contact",
                "label": "Contact softness",
                "type": "number",
                "section": "softness",
                "unit": "px",
                "least": 0,
                "most": 500,
                "step": 0.1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How soft the shadow is where it begins: nothing in it is sharper"
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
                "default": 120,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "From which side the light comes, counterclockwise from the right as the camera sees it"
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
                "default": 40,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
            },
            {
                "name": "width",
                "label": "Light's width",
                "type": "number",
                "section": "softness",
                "unit": "°",
                "least": 0,
                "most": 90,
                "step": 0.5,
                "choices": [],
                "default": 15,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How large the light is: larger ones throw softer shadows"
            },
            {
                "name": "filled",
                "label": "Insides filled",
                "type": "switch",
                "section": "reach",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": true,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Holes in the outline throw no light through the shadow"
            }
        ]
    },
    {
        "key": "contact",
        "label": "Contact shadow",
        "hint": "The dark seam where something touches ground or wall",
        "family": "shadow",
        "course": "Shade",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": true,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "of",
                "label": "Of",
                "type": "plates",
                "section": "shadow",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The plates that touch"
            },
            {
                "name": "colour",
                "label": "Colour",
                "type": "flat colour",
                "section": "shadow",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": "#090a10",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What is left where no light reaches"
            },
            {
                "name": "width",
                "label": "Width",
                "type": "number",
                "section": "shadow",
                "unit": "px",
                "least": 0.5,
                "most": 1000,
                "step": 0.5,
                "choices": [],
                "default": 6,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of the edge darkens what it touches"
            },
            {
                "name": "softness",
                "label": "Softness",
                "type": "number",
                "section": "softness",
                "unit": "px",
                "least": 0.3,
                "most": 500,
                "step": 0.1,
                "choices": [],
                "default": 2,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How soft the seam is"
            },
            {
                "name": "offset",
                "label": "Offset",
                "type": "number",
                "section": "reach",
                "unit": "px",
                "least": 0,
                "most": 500,
                "step": 0.5,
                "choices": [],
                "default": 2,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far the seam is moved out from under the plate"
            },
            {
                "name": "offsetTo",
                "label": "Offset to",
                "type": "number",
                "section": "reach",
                "unit": "°",
                "least": -180,
                "most": 180,
                "step": 1,
                "choices": [],
                "default": -90,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "To which side the seam is moved"
            }
        ]
    },
    {
        "key": "fill",
        "label": "Flat colour",
        "hint": "A flat colour or a ramp, to tint or to burn",
        "family": "flat",
        "course": "Shade",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": {
            "label": "Sky and ground",
            "hint": "Two ramps that darken, from above and from below"
        },
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "filled",
                "label": "Filled with",
                "type": "choice",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "one colour",
                    "a linear ramp",
                    "a radial ramp"
                ],
                "default": "one colour",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "One colour everywhere, or a ramp along a line or round a place"
            },
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
                "shownWhen": {
                    "filled": [
                        "one colour"
                    ]
                },
                "whenEmpty": "",
                "says": "The colour that is laid over what is beneath"
            },
            {
                "name": "stops",
                "label": "Ramp",
                "type": "colour ramp",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    {
                        "offset": 0,
                        "colour": "#20304a",
                        "opacity": 1,
                        "midpoint": 0.5,
                        "smooth": true
                    },
                    {
                        "offset": 1,
                        "colour": "#20304a",
                        "opacity": 0,
                        "midpoint": 0.5
                    }
                ],
                "optional": false,
                "shownWhen": {
                    "filled": [
                        "a linear ramp",
                        "a radial ramp"
                    ]
                },
                "whenEmpty": "",
                "says": "Its colours from one end to the other, and how much there is of each"
            },
            {
                "name": "from",
                "label": "Ramp from",
                "type": "point",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "filled": [
                        "a linear ramp",
                        "a radial ramp"
                    ]
                },
                "whenEmpty": "the top of the picture",
                "says": "Where the first stop of the ramp lies; a radial one goes round it"
            },
            {
                "name": "to",
                "label": "Ramp to",
                "type": "point",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "filled": [
                        "a linear ramp",
                        "a radial ramp"
                    ]
                },
                "whenEmpty": "the bottom of the picture",
                "says": "Where the last stop of the ramp lies"
            }
        ]
    },
    {
        "key": "haze",
        "label": "Haze",
        "hint": "A veil of lit air from one side",
        "family": "air",
        "course": "Air",
        "fadesInStops": false,
        "drawn": "from where it is thickest to where it ends",
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [
            "lamp",
            "sun"
        ],
        "parameters": [
            {
                "name": "comes",
                "label": "Comes as",
                "type": "choice",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "a linear ramp",
                    "a radial ramp"
                ],
                "default": "a linear ramp",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "From one side, or round a place"
            },
            {
                "name": "stops",
                "label": "Ramp",
                "type": "colour ramp",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    {
                        "offset": 0,
                        "colour": "#b4c3d6",
                        "opacity": 0.8,
                        "midpoint": 0.5,
                        "smooth": true
                    },
                    {
                        "offset": 1,
                        "colour": "#b4c3d6",
                        "opacity": 0,
                        "midpoint": 0.5
                    }
                ],
                "optional": false,
                "shownWhen": {
                    "comes": [
                        "a linear ramp",
                        "a radial ramp"
                    ]
                },
                "whenEmpty": "",
                "says": "Its colours from one end to the other, and how much there is of each"
            },
            {
                "name": "from",
                "label": "Ramp from",
                "type": "point",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "comes": [
                        "a linear ramp",
                        "a radial ramp"
                    ]
                },
                "whenEmpty": "the top of the picture",
                "says": "Where the first stop of the ramp lies; a radial one goes round it"
            },
            {
                "name": "to",
                "label": "Ramp to",
                "type": "point",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "comes": [
                        "a linear ramp",
                        "a radial ramp"
                    ]
                },
                "whenEmpty": "the bottom of the picture",
                "says": "Where the last stop of the ramp lies"
            },
            {
                "name": "takesColour",
                "label": "In its source's colour",
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
                "whenEmpty": "",
                "says": "It has the colour of its source"
            }
        ]
    },
    {
        "key": "distance haze",
        "label": "Haze by distance",
        "hint": "What is far away fades into the air",
        "family": "air",
        "course": "Air",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [
            "lamp",
            "sun"
        ],
        "parameters": [
            {
                "name": "visible",
                "label": "Visible to",
                "type": "number",
                "section": "light",
                "unit": "×",
                "least": 1.5,
                "most": 1000,
                "step": 0.5,
                "choices": [],
                "default": 20,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Where nearly nothing is seen any more, in distances of the floor's nearest row"
            },
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
                "default": "#8493a8",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colour of the air: what is far away takes it"
            },
            {
                "name": "far",
                "label": "Furthest",
                "type": "number",
                "section": "reach",
                "unit": "×",
                "least": 0.1,
                "most": 1000,
                "step": 0.5,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "as it is visible",
                "says": "Sky and whatever lies behind everything count as so far away"
            },
            {
                "name": "takesColour",
                "label": "In its source\\'s colour",
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
                "whenEmpty": "",
                "says": "It has the colour of its source"
            }
        ]
    },
    {
        "key": "smoke",
        "label": "Smoke",
        "hint": "Wafts of smoke or mist, plain or in a light",
        "family": "air",
        "course": "Air",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "lit",
                "label": "Lit by",
                "type": "strip",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "nothing: plain",
                "says": "The light that it hangs in: it is seen only where that falls, in its colour"
            },
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
                "default": "#676d75",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Its own colour, where no light is said to fall on it"
            },
            {
                "name": "brighter",
                "label": "Brighter by",
                "type": "number",
                "section": "light",
                "unit": "stops",
                "least": -4,
                "most": 4,
                "step": 0.1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much brighter it is than the light that it hangs in, in stops"
            },
            {
                "name": "made",
                "label": "Is",
                "type": "choice",
                "section": "smoke",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "made anew",
                    "of a picture"
                ],
                "default": "made anew",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Made anew from a number, or the brightness of a picture"
            },
            {
                "name": "smokeSize",
                "label": "Size",
                "type": "number",
                "section": "smoke",
                "unit": "px",
                "least": 4,
                "most": 8000,
                "step": 1,
                "choices": [],
                "default": 300,
                "optional": false,
                "shownWhen": {
                    "made": [
                        "made anew"
                    ]
                },
                "whenEmpty": "",
                "says": "How large the wafts of smoke are"
            },
            {
                "name": "density",
                "label": "Density",
                "type": "number",
                "section": "smoke",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 55,
                "optional": false,
                "shownWhen": {
                    "made": [
                        "made anew"
                    ]
                },
                "whenEmpty": "",
                "says": "How much of the way is filled: with smoke, or with leaves"
            },
            {
                "name": "wafts",
                "label": "Softness",
                "type": "number",
                "section": "smoke",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 70,
                "optional": false,
                "shownWhen": {
                    "made": [
                        "made anew"
                    ]
                },
                "whenEmpty": "",
                "says": "How softly wafts go over into clear air"
            },
            {
                "name": "drift",
                "label": "Drift",
                "type": "number",
                "section": "smoke",
                "unit": "°",
                "least": -180,
                "most": 180,
                "step": 1,
                "choices": [],
                "default": 10,
                "optional": false,
                "shownWhen": {
                    "made": [
                        "made anew"
                    ]
                },
                "whenEmpty": "",
                "says": "Which way the smoke is drawn"
            },
            {
                "name": "stretch",
                "label": "Stretch",
                "type": "number",
                "section": "smoke",
                "unit": "×",
                "least": 0.2,
                "most": 10,
                "step": 0.1,
                "choices": [],
                "default": 2.2,
                "optional": false,
                "shownWhen": {
                    "made": [
                        "made anew"
                    ]
                },
                "whenEmpty": "",
                "says": "How much longer the wafts are along the drift"
            },
            {
                "name": "seed",
                "label": "Seed",
                "type": "number",
                "section": "smoke",
                "unit": "",
                "least": 0,
                "most": 99999,
                "step": 1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {
                    "made": [
                        "made anew"
                    ]
                },
                "whenEmpty": "",
                "says": "Another number gives another pattern of the same kind"
            },
            {
                "name": "picture",
                "label": "Picture",
                "type": "picture",
                "section": "smoke",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "made": [
                        "of a picture"
                    ]
                },
                "whenEmpty": "no picture",
                "says": "The picture that it is made of"
            },
            {
                "name": "blacks",
                "label": "Clear up to",
                "type": "number",
                "section": "smoke",
                "unit": "%",
                "least": 0,
                "most": 95,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {
                    "made": [
                        "of a picture"
                    ]
                },
                "whenEmpty": "",
                "says": "Tones of the picture up to here are clear air"
            },
            {
                "name": "middle",
                "label": "Middle",
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
                "shownWhen": {
                    "made": [
                        "of a picture"
                    ]
                },
                "whenEmpty": "",
                "says": "The middle of it on the picture"
            },
            {
                "name": "width",
                "label": "Width",
                "type": "number",
                "section": "placing",
                "unit": "px",
                "least": 1,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 1500,
                "optional": false,
                "shownWhen": {
                    "made": [
                        "of a picture"
                    ]
                },
                "whenEmpty": "",
                "says": "How wide it is"
            },
            {
                "name": "height",
                "label": "Height",
                "type": "number",
                "section": "placing",
                "unit": "px",
                "least": 1,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 1000,
                "optional": false,
                "shownWhen": {
                    "made": [
                        "of a picture"
                    ]
                },
                "whenEmpty": "",
                "says": "How high it reaches on the picture"
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
                "shownWhen": {
                    "made": [
                        "of a picture"
                    ]
                },
                "whenEmpty": "",
                "says": "Turned counterclockwise by so much"
            }
        ]
    },
    {
        "key": "dust",
        "label": "Dust",
        "hint": "Specks in the air, plain or only where a light falls",
        "family": "air",
        "course": "Air",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "lit",
                "label": "Lit by",
                "type": "strip",
                "section": "light",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "nothing: plain",
                "says": "The light that it hangs in: it is seen only where that falls, in its colour"
            },
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
                "default": "#d9d4c8",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Its own colour, where no light is said to fall on it"
            },
            {
                "name": "brighter",
                "label": "Brighter by",
                "type": "number",
                "section": "light",
                "unit": "stops",
                "least": -4,
                "most": 4,
                "step": 0.1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much brighter it is than the light that it hangs in, in stops"
            },
            {
                "name": "specks",
                "label": "Specks a megapixel",
                "type": "number",
                "section": "dust",
                "unit": "",
                "least": 1,
                "most": 20000,
                "step": 10,
                "choices": [],
                "default": 500,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How many specks hang in a million pixels of the beam"
            },
            {
                "name": "speckSize",
                "label": "Nearest",
                "type": "number",
                "section": "dust",
                "unit": "px",
                "least": 0.4,
                "most": 200,
                "step": 0.1,
                "choices": [],
                "default": 8,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How large the nearest specks are"
            },
            {
                "name": "farSize",
                "label": "Furthest",
                "type": "number",
                "section": "dust",
                "unit": "px",
                "least": 0.3,
                "most": 100,
                "step": 0.1,
                "choices": [],
                "default": 1.6,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How large the furthest specks are"
            },
            {
                "name": "outOfFocus",
                "label": "Out of focus",
                "type": "number",
                "section": "dust",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 55,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How many specks are near and blurred to discs"
            },
            {
                "name": "seed",
                "label": "Seed",
                "type": "number",
                "section": "dust",
                "unit": "",
                "least": 0,
                "most": 99999,
                "step": 1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Another number gives another pattern of the same kind"
            }
        ]
    },
    {
        "key": "grain",
        "label": "Grain",
        "hint": "As a film or a sensor has it; smooth parts look pasted",
        "family": "air",
        "course": "Air",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "strength",
                "label": "Strength",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 0.5,
                "choices": [],
                "default": 25,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How strong it is: at 100 % middle tones differ by a tenth of the way from black to white"
            },
            {
                "name": "coarse",
                "label": "Size",
                "type": "number",
                "section": "tone",
                "unit": "px",
                "least": 0,
                "most": 1.9,
                "step": 0.05,
                "choices": [],
                "default": 0.5,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How coarse it is, in pixels of the whole picture: 0 is one pixel"
            },
            {
                "name": "colourful",
                "label": "In colour",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 20,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of it differs from channel to channel, as that of a sensor does"
            },
            {
                "name": "mids",
                "label": "Keeps to the mids",
                "type": "number",
                "section": "ends",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 60,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much less of it there is in the darkest and in the brightest tones"
            },
            {
                "name": "seed",
                "label": "Seed",
                "type": "number",
                "section": "ends",
                "unit": "",
                "least": 0,
                "most": 99999,
                "step": 1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Another number gives another pattern of the same kind"
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
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
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
                "whenEmpty": "",
                "says": "How bright the plate is before anything is lit, in stops: lights need a dark base"
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
                "whenEmpty": "",
                "says": "How much colour is taken out before anything is lit, so that light brings its own"
            },
            {
                "name": "whitesHeldAt",
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
                "whenEmpty": "",
                "says": "The brightest tone the plate keeps before anything is lit"
            },
            {
                "name": "blacksStartAt",
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
                "whenEmpty": "",
                "says": "Tones up to here become black: the plate grows denser from below"
            }
        ]
    },
    {
        "key": "levels",
        "label": "Levels",
        "hint": "Where black and white begin, and the middle between",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "inBlack",
                "label": "Black up to",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": 0,
                "most": 99,
                "step": 0.5,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Tones up to here become black"
            },
            {
                "name": "inWhite",
                "label": "White from",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": 1,
                "most": 100,
                "step": 0.5,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Tones from here on become white"
            },
            {
                "name": "middle",
                "label": "Middle",
                "type": "number",
                "section": "tone",
                "unit": "×",
                "least": 0.1,
                "most": 5,
                "step": 0.05,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Above 1 the tones between become brighter, below it darker"
            },
            {
                "name": "outBlack",
                "label": "Black becomes",
                "type": "number",
                "section": "ends",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 0.5,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How bright black is afterwards"
            },
            {
                "name": "outWhite",
                "label": "White becomes",
                "type": "number",
                "section": "ends",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 0.5,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How bright white is afterwards"
            },
            {
                "name": "of",
                "label": "Of",
                "type": "choice",
                "section": "ends",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "all",
                    "red",
                    "green",
                    "blue"
                ],
                "default": "all",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "All three channels alike, or one of them alone, which tints"
            }
        ]
    },
    {
        "key": "contrast",
        "label": "Contrast",
        "hint": "Tones drawn apart, or together; black stays black",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "contrast",
                "label": "Contrast",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": -100,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Above 0 bright and dark go apart about the middle, below it they come together"
            }
        ]
    },
    {
        "key": "monochrome",
        "label": "Monochrome",
        "hint": "Colours as greys, so much of each channel",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "red",
                "label": "Red",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": -200,
                "most": 300,
                "step": 1,
                "choices": [],
                "default": 21,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of red the grey has: with more of it skin and fire become lighter"
            },
            {
                "name": "green",
                "label": "Green",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": -200,
                "most": 300,
                "step": 1,
                "choices": [],
                "default": 72,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of green the grey has"
            },
            {
                "name": "blue",
                "label": "Blue",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": -200,
                "most": 300,
                "step": 1,
                "choices": [],
                "default": 7,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of blue the grey has: with less of it skies become darker"
            }
        ]
    },
    {
        "key": "curve",
        "label": "Curve",
        "hint": "Single tones raised or lowered, in all or one colour",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "all",
                "label": "Tones",
                "type": "curve",
                "section": "tone",
                "unit": "",
                "least": 0,
                "most": 16,
                "step": 1,
                "choices": [],
                "default": [
                    [
                        0,
                        0
                    ],
                    [
                        1,
                        1
                    ]
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What becomes of each tone: red, green and blue alike"
            },
            {
                "name": "luma",
                "label": "Brightness",
                "type": "curve",
                "section": "brightness",
                "unit": "",
                "least": 0,
                "most": 16,
                "step": 1,
                "choices": [],
                "default": [
                    [
                        0,
                        0
                    ],
                    [
                        1,
                        1
                    ]
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What becomes of how bright a place is, its colour kept"
            },
            {
                "name": "swing",
                "label": "Colour swings along",
                "type": "number",
                "section": "brightness",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far colours get richer where contrast grows, as by a curve of all channels"
            },
            {
                "name": "red",
                "label": "Red",
                "type": "curve",
                "section": "channels",
                "unit": "",
                "least": 0,
                "most": 16,
                "step": 1,
                "choices": [],
                "default": [
                    [
                        0,
                        0
                    ],
                    [
                        1,
                        1
                    ]
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What becomes of red alone: warmer or cooler in some tones"
            },
            {
                "name": "green",
                "label": "Green",
                "type": "curve",
                "section": "channels",
                "unit": "",
                "least": 0,
                "most": 16,
                "step": 1,
                "choices": [],
                "default": [
                    [
                        0,
                        0
                    ],
                    [
                        1,
                        1
                    ]
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What becomes of green alone"
            },
            {
                "name": "blue",
                "label": "Blue",
                "type": "curve",
                "section": "channels",
                "unit": "",
                "least": 0,
                "most": 16,
                "step": 1,
                "choices": [],
                "default": [
                    [
                        0,
                        0
                    ],
                    [
                        1,
                        1
                    ]
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What becomes of blue alone: warmer or cooler in some tones"
            }
        ]
    },
    {
        "key": "saturation",
        "label": "Saturation",
        "hint": "Colours richer or paler, turned, brighter",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "saturation",
                "label": "Saturation",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": 0,
                "most": 300,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How rich colours are: 0 is grey, as bright as they look"
            },
            {
                "name": "turned",
                "label": "Hue turned by",
                "type": "number",
                "section": "tone",
                "unit": "°",
                "least": -180,
                "most": 180,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Turns every hue by so much: red toward yellow above 0, toward violet below"
            },
            {
                "name": "brighter",
                "label": "Brighter by",
                "type": "number",
                "section": "tone",
                "unit": "stops",
                "least": -4,
                "most": 4,
                "step": 0.1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Brighter or darker in stops, before colours are changed"
            }
        ]
    },
    {
        "key": "balance",
        "label": "Balance",
        "hint": "Darks, mids and lights each toward a colour",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "shifts",
                "label": "Colours",
                "type": "shifts",
                "section": "tone",
                "unit": "",
                "least": -100,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": {
                    "darks": [
                        0,
                        0,
                        0
                    ],
                    "mids": [
                        0,
                        0,
                        0
                    ],
                    "lights": [
                        0,
                        0,
                        0
                    ]
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Toward which colour darks, mids and lights are drawn, and how far"
            },
            {
                "name": "keepBlack",
                "label": "Black stays black",
                "type": "switch",
                "section": "ends",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": true,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The darkest tones take no colour"
            },
            {
                "name": "keepLuma",
                "label": "As bright as before",
                "type": "switch",
                "section": "ends",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": false,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Colours change, brightness does not"
            }
        ]
    },
    {
        "key": "bands",
        "label": "Single hues",
        "hint": "Some hues calmed, turned or enriched, the others left alone",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "bands",
                "label": "Hues",
                "type": "bands",
                "section": "tone",
                "unit": "",
                "least": 0,
                "most": 12,
                "step": 1,
                "choices": [
                    "red",
                    "orange",
                    "yellow",
                    "green",
                    "cyan",
                    "blue",
                    "violet",
                    "magenta"
                ],
                "middles": [
                    29,
                    53,
                    110,
                    142,
                    195,
                    264,
                    294,
                    328
                ],
                "default": [],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Stretches of hues, over the hues that there are, and what becomes of each"
            }
        ]
    },
    {
        "key": "tint",
        "label": "Tint",
        "hint": "One hue over everything, each tone as light as before",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "colour",
                "label": "Colour",
                "type": "flat colour",
                "section": "tone",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": "#c98a52",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Its hue and how rich it is are taken; how light it is says nothing"
            }
        ]
    },
    {
        "key": "tone ramp",
        "label": "Tones to colours",
        "hint": "Dark tones in one colour, bright ones in another",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "ramp",
                "label": "Tones",
                "type": "tone ramp",
                "section": "tone",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    {
                        "offset": 0,
                        "colour": "#0a0d1c",
                        "midpoint": 0.5
                    },
                    {
                        "offset": 0.45,
                        "colour": "#7a4a3a",
                        "midpoint": 0.5
                    },
                    {
                        "offset": 0.8,
                        "colour": "#e8b27a",
                        "midpoint": 0.5
                    },
                    {
                        "offset": 1,
                        "colour": "#fff4dd",
                        "midpoint": 0.5
                    }
                ],
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colour that each tone becomes, from black to white"
            }
        ]
    },
    {
        "key": "warmth",
        "label": "Toward a light",
        "hint": "Bright tones take a light's colour, dark ones cool",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [
            "lamp",
            "sun"
        ],
        "parameters": [
            {
                "name": "colour",
                "label": "Light",
                "type": "light colour",
                "section": "tone",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": {
                    "kelvin": 3000
                },
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
            },
            {
                "name": "pull",
                "label": "Pulled by",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": -100,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 40,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far bright tones go toward the light's colour; below 0 away from it"
            },
            {
                "name": "mids",
                "label": "Mids too",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of that the tones between dark and bright take as well: a dull sky is one"
            },
            {
                "name": "coolDarks",
                "label": "Darks go the other way",
                "type": "switch",
                "section": "tone",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": true,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Dark tones turn to the opposite colour a little, as shadows beside a coloured light do"
            }
        ]
    },
    {
        "key": "match",
        "label": "Match",
        "hint": "A plate takes the colours of what it stands in",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": true,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "toward",
                "label": "Toward",
                "type": "choice",
                "section": "tone",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "what lies around",
                    "a region",
                    "a plate"
                ],
                "default": "what lies around",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Whose colours and contrast are taken: of what lies around the plate that it is confined to, of a region, or of a plate"
            },
            {
                "name": "like",
                "label": "Like",
                "type": "plate",
                "section": "tone",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "toward": [
                        "a plate"
                    ]
                },
                "whenEmpty": "no plate",
                "says": "The plate whose colours and contrast everything below takes"
            },
            {
                "name": "colourBy",
                "label": "Colour",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 70,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far hue and richness are pulled"
            },
            {
                "name": "contrastBy",
                "label": "Lightness",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 35,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far brightness and contrast are pulled"
            },
            {
                "name": "inDarks",
                "label": "In darks",
                "type": "number",
                "section": "ends",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of it acts on dark tones"
            },
            {
                "name": "inMids",
                "label": "In mids",
                "type": "number",
                "section": "ends",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of it acts on middle tones"
            },
            {
                "name": "inLights",
                "label": "In lights",
                "type": "number",
                "section": "ends",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of it acts on bright tones"
            },
            {
                "name": "regionFrom",
                "label": "Region from",
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
                "shownWhen": {
                    "toward": [
                        "a region"
                    ]
                },
                "whenEmpty": "",
                "says": "One corner of the region"
            },
            {
                "name": "regionTo",
                "label": "Region to",
                "type": "point",
                "section": "placing",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": [
                    100,
                    100
                ],
                "optional": false,
                "shownWhen": {
                    "toward": [
                        "a region"
                    ]
                },
                "whenEmpty": "",
                "says": "The other corner of the region"
            }
        ]
    },
    {
        "key": "vignette",
        "label": "Vignette",
        "hint": "Borders darker, so that the eye stays inside",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "stops",
                "label": "Exposure",
                "type": "number",
                "section": "tone",
                "unit": "stops",
                "least": -6,
                "most": 2,
                "step": 0.1,
                "choices": [],
                "default": -1.5,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much darker, or brighter, it is where its mask lets it act"
            }
        ]
    },
    {
        "key": "bloom",
        "label": "Bloom",
        "hint": "Bright places glare into what lies around them",
        "family": "grade",
        "course": "Match",
        "fadesInStops": false,
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
        "hangsOn": [],
        "parameters": [
            {
                "name": "from",
                "label": "From",
                "type": "number",
                "section": "tone",
                "unit": "%",
                "least": 10,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 75,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Tones brighter than this glare"
            },
            {
                "name": "near",
                "label": "Radius",
                "type": "number",
                "section": "tone",
                "unit": "px",
                "least": 1,
                "most": 2000,
                "step": 1,
                "choices": [],
                "default": 20,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How far the near glare reaches"
            },
            {
                "name": "strength",
                "label": "Strength",
                "type": "number",
                "section": "tone",
                "unit": "stops",
                "least": -6,
                "most": 3,
                "step": 0.1,
                "choices": [],
                "default": -1.5,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How bright the glare is, in stops below what it comes from"
            },
            {
                "name": "farther",
                "label": "Wide share",
                "type": "number",
                "section": "ends",
                "unit": "%",
                "least": 0,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 45,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How much of it reaches four times as far"
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
        "drawn": null,
        "liesUnder": false,
        "tip": null,
        "pair": null,
        "likens": false,
        "shines": null,
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
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
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
                "whenEmpty": "",
                "says": "Where its pivot stands in the scene"
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
                "whenEmpty": "",
                "says": "How far in front of the picture's plane the lamp hangs; what faces it gets more light"
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
                "whenEmpty": "",
                "says": "The lamp is lit but lies outside of the picture"
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
                "whenEmpty": "",
                "says": "How large the lamp is: larger lamps throw softer shadows"
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
                "whenEmpty": "",
                "says": "The colour of the light, by temperature, gel or swatch"
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
                "whenEmpty": "",
                "says": "From which side the light comes, counterclockwise from the right as the camera sees it"
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
                "whenEmpty": "",
                "says": "How high the light comes from: 0 from the side, 90 from the camera, below 0 from behind"
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
                "whenEmpty": "",
                "says": "How large the sun is in the sky: larger ones throw softer shadows"
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
        "becomes": "radial",
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
                "whenEmpty": "",
                "says": "Where the mask lets through what its first stop says"
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
                "whenEmpty": "",
                "says": "Where the mask lets through what its last stop says"
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
                "whenEmpty": "",
                "says": "What it is at each place of its way"
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
                "whenEmpty": "",
                "says": "Eases the ramp at its stops, so that no band is seen"
            }
        ]
    },
    {
        "key": "radial",
        "label": "Radial",
        "grounds": [
            "scene"
        ],
        "becomes": "linear",
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
                "whenEmpty": "",
                "says": "The middle of it on the picture"
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
                "whenEmpty": "",
                "says": "How far it reaches from its middle"
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
                "whenEmpty": "",
                "says": "How far it reaches the other way: an ellipse where it differs"
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
                "whenEmpty": "",
                "says": "Turned counterclockwise by so much"
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
                "whenEmpty": "",
                "says": "Up to here the mask is as in its middle"
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
                "whenEmpty": "",
                "says": "What it is at each place of its way"
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
                "whenEmpty": "",
                "says": "Eases the ramp at its stops, so that no band is seen"
            }
        ]
    },
    {
        "key": "outline",
        "label": "Outline",
        "grounds": [
            "scene",
            "plate",
            "emitter"
        ],
        "becomes": null,
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
                "whenEmpty": "",
                "says": "The points that the outline goes through"
            },
            {
                "name": "feather",
                "label": "Softness",
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
                "whenEmpty": "",
                "says": "How soft the border is, to both sides"
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
                "whenEmpty": "",
                "says": "Moves the edge outward, or inward where it is below 0"
            }
        ]
    },
    {
        "key": "strokes",
        "label": "Strokes",
        "grounds": [
            "scene",
            "plate",
            "emitter"
        ],
        "becomes": null,
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
                "whenEmpty": "",
                "says": "Whether everything is let in or held back before the first stroke"
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
                "whenEmpty": "",
                "says": "The strokes that were painted"
            }
        ]
    },
    {
        "key": "painted cut",
        "label": "Painted cut",
        "grounds": [
            "plate"
        ],
        "becomes": null,
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
                "whenEmpty": "",
                "says": "The strokes that were painted"
            }
        ]
    },
    {
        "key": "colour area",
        "label": "Colour area",
        "grounds": [
            "plate",
            "emitter"
        ],
        "becomes": null,
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
                "whenEmpty": "",
                "says": "Where on the plate the area was picked"
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
                "whenEmpty": "",
                "says": "How far from the picked colour still counts as the same"
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
                "whenEmpty": "",
                "says": "Only what touches the picked place, or the same colour everywhere"
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
                "whenEmpty": "",
                "says": "How wide the patch is whose mean is picked, so that grain does not decide"
            }
        ]
    },
    {
        "key": "texture",
        "label": "Texture",
        "grounds": [
            "scene"
        ],
        "becomes": null,
        "parameters": [
            {
                "name": "texture",
                "label": "Texture",
                "type": "choice",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [
                    "leak",
                    "smoke",
                    "clouds",
                    "dust",
                    "bokeh",
                    "a picture"
                ],
                "default": "clouds",
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "What the light is broken by"
            },
            {
                "name": "picture",
                "label": "Picture",
                "type": "picture",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {
                    "texture": [
                        "a picture"
                    ]
                },
                "whenEmpty": "no picture",
                "says": "The picture that it is made of"
            },
            {
                "name": "seed",
                "label": "Seed",
                "type": "number",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 99999,
                "step": 1,
                "choices": [],
                "default": 1,
                "optional": false,
                "shownWhen": {
                    "texture": [
                        "leak",
                        "smoke",
                        "clouds",
                        "dust",
                        "bokeh"
                    ]
                },
                "whenEmpty": "",
                "says": "Another number gives another pattern of the same kind"
            },
            {
                "name": "middle",
                "label": "Middle",
                "type": "point",
                "section": "falloff",
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
                "whenEmpty": "",
                "says": "The middle of it on the picture"
            },
            {
                "name": "width",
                "label": "Width",
                "type": "number",
                "section": "falloff",
                "unit": "px",
                "least": 1,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 1500,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How wide it is"
            },
            {
                "name": "height",
                "label": "Height",
                "type": "number",
                "section": "falloff",
                "unit": "px",
                "least": 1,
                "most": 100000,
                "step": 1,
                "choices": [],
                "default": 1000,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "How high it reaches on the picture"
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
                "whenEmpty": "",
                "says": "Turned counterclockwise by so much"
            },
            {
                "name": "blacks",
                "label": "Blacks start at",
                "type": "number",
                "section": "falloff",
                "unit": "%",
                "least": 0,
                "most": 95,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Tones of the texture up to here add nothing: its border and its fog go"
            },
            {
                "name": "whites",
                "label": "Whites held at",
                "type": "number",
                "section": "falloff",
                "unit": "%",
                "least": 5,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Tones of the texture from here on hide nothing"
            }
        ]
    },
    {
        "key": "brightness",
        "label": "Brightness",
        "grounds": [
            "scene"
        ],
        "becomes": null,
        "parameters": [
            {
                "name": "of",
                "label": "Of",
                "type": "strip",
                "section": "falloff",
                "unit": "",
                "least": 0,
                "most": 0,
                "step": 1,
                "choices": [],
                "default": null,
                "optional": true,
                "shownWhen": {},
                "whenEmpty": "the picture below",
                "says": "Whose brightness it is: of another strip by itself, or of all that lies below"
            },
            {
                "name": "blacks",
                "label": "Blacks start at",
                "type": "number",
                "section": "falloff",
                "unit": "%",
                "least": 0,
                "most": 95,
                "step": 1,
                "choices": [],
                "default": 0,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Tones of the texture up to here add nothing: its border and its fog go"
            },
            {
                "name": "whites",
                "label": "Whites held at",
                "type": "number",
                "section": "falloff",
                "unit": "%",
                "least": 5,
                "most": 100,
                "step": 1,
                "choices": [],
                "default": 100,
                "optional": false,
                "shownWhen": {},
                "whenEmpty": "",
                "says": "Tones of the texture from here on hide nothing"
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

/** The files that a scene is written to. */
export const exportFormats: { format: string; bits: number; label: string; isLossy: boolean; keepsAlpha: boolean }[] = [
    {
        "format": "png",
        "bits": 8,
        "label": "PNG, 8 bit",
        "isLossy": false,
        "keepsAlpha": true
    },
    {
        "format": "png",
        "bits": 16,
        "label": "PNG, 16 bit",
        "isLossy": false,
        "keepsAlpha": true
    },
    {
        "format": "jpeg",
        "bits": 8,
        "label": "JPEG",
        "isLossy": true,
        "keepsAlpha": false
    },
    {
        "format": "tiff",
        "bits": 8,
        "label": "TIFF, 8 bit",
        "isLossy": false,
        "keepsAlpha": true
    },
    {
        "format": "tiff",
        "bits": 16,
        "label": "TIFF, 16 bit",
        "isLossy": false,
        "keepsAlpha": true
    },
    {
        "format": "webp",
        "bits": 8,
        "label": "WebP",
        "isLossy": true,
        "keepsAlpha": true
    },
    {
        "format": "avif",
        "bits": 8,
        "label": "AVIF",
        "isLossy": true,
        "keepsAlpha": false
    },
    {
        "format": "exr",
        "bits": 16,
        "label": "EXR",
        "isLossy": false,
        "keepsAlpha": true
    }
];

/** The endings and types of the pictures that are taken in. */
export const picturesTaken = ".png,image/png,.jpg,image/jpeg,.tif,image/tiff,.webp,image/webp,.avif,image/avif,.heic,image/heic,.exr,image/exr,.hdr,image/hdr";

export const modeGroups: { does: string; modes: string[] }[] = [
    {
        "does": "covers",
        "modes": [
            "normal"
        ]
    },
    {
        "does": "lifts everything",
        "modes": [
            "screen",
            "add",
            "lighten",
            "hard light"
        ]
    },
    {
        "does": "keeps blacks",
        "modes": [
            "overlay",
            "soft light",
            "color dodge"
        ]
    },
    {
        "does": "darkens",
        "modes": [
            "multiply",
            "darken",
            "color burn"
        ]
    },
    {
        "does": "colour only",
        "modes": [
            "color",
            "hue",
            "saturation",
            "luminosity"
        ]
    },
    {
        "does": "turns tones over",
        "modes": [
            "difference",
            "exclusion"
        ]
    },
    {
        "does": "our own",
        "modes": [
            "illuminate",
            "airlight",
            "kindle"
        ]
    }
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

/** The brush tips that are there from the start. */
export const tips: string[] = [
    "brush",
    "chalk",
    "bristles",
    "spray"
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
