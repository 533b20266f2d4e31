// Made by make types from openapi.json. Do not change it by hand.

import type { FieldPath } from "./paths";
export interface paths {
    "/api/backups": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The backups, the newest first, each with what is in it */
        get: operations["listBackups"];
        put?: never;
        /** Make a backup now */
        post: operations["backUp"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/backups/{name}/jobs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The jobs of a backup, beside what they are now */
        get: operations["lookInBackup"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/backups/{name}/jobs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Make one job as it was in a backup; what it is now stays in its history */
        post: operations["restoreJob"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/backups/{name}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Make everything as it was in a backup, after a backup of what is here */
        post: operations["restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/chart": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The pocket chart: what goes into each of the maker's envelopes */
        get: operations["readChart"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/chart/{format}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The pocket chart, to be printed */
        get: operations["printChart"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/cutter": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The cutter at the table */
        get: operations["readCutter"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/cutting": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Search longer for how one paper is cut */
        post: operations["searchCutting"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/damage": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What is wrong with the stored data, if anything is */
        get: operations["getDamage"];
        put?: never;
        /** Go on with what is chosen; the damaged data is kept */
        post: operations["repair"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/devices": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The measuring devices at the table */
        get: operations["listDevices"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/devices/{device}/{act}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Take a reading of a device, or set it to zero */
        post: operations["takeReading"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/events": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What becomes of the shop, of the list and of every job */
        get: operations["followEverything"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/everything": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Everything that is kept, as one open file: a zip of JSON */
        get: operations["writeEverything"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/formats": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The open formats in which files are written */
        get: operations["listFormats"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The jobs of a list that have every word of what is looked for */
        get: operations["listJobs"];
        put?: never;
        /** A copy of a job */
        post: operations["addJob"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Read the file of a job in, as a new job */
        post: operations["readJob"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/new": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What a new job begins as, under an ID of its own; nothing is stored before it is saved from version 0 */
        get: operations["startJob"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** One job */
        get: operations["getJob"];
        /** Save a job that was changed from a version; from version 0 it is a new one */
        put: operations["saveJob"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/archived": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Put a job that is done among the archived ones, or back */
        put: operations["setJobArchived"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/cutter/{piece}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Send a mat of a job to the cutter, the very SVG that is exported, and hold what comes off against the drawing */
        post: operations["cutMat"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A job with its history as a file of its own: JSON */
        get: operations["writeJob"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/history": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The states that a job had, the newest first */
        get: operations["listHistory"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/history/{state}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A job as it was at a version */
        get: operations["getState"];
        put?: never;
        /** Make a job as it was at a state; what it is now stays in its history */
        post: operations["bringBack"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/lists/{piece}/{format}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A list of a job, as a file */
        get: operations["writeList"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/name": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Give a job another name */
        put: operations["renameJob"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/pieces/{piece}/{format}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A piece of a job at its true size, as a file */
        get: operations["writePiece"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/prints/{print}/{format}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A job on one page, or its worksheet, to be printed */
        get: operations["printJob"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/progress": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** How far the maker is with a job at the bench */
        get: operations["readProgress"];
        /** Keep how far the maker is; every window that shows the steps follows */
        put: operations["keepProgress"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/removed": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Take a job off the list, or put it back */
        put: operations["setJobRemoved"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}/version": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Which version a job has by now */
        get: operations["versionOfJob"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/line": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Read a line: a job to begin, or a change of one; nothing is stored */
        post: operations["readLine"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/line/job": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Begin a job with a line */
        post: operations["beginWithLine"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/outline": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Read an odd card's outline from corners, SVG or DXF; nothing is stored */
        post: operations["readOutline"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/plan": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Edit a job and plan it; nothing is stored */
        post: operations["makePlan"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/removed": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Everything that was removed, the latest first */
        get: operations["listRemoved"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rulebooks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Every rulebook as a page of rules */
        get: operations["getRules"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sample": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A job with its plan to begin from, under an ID of its own; nothing is stored before it is saved from version 0 */
        get: operations["getSample"];
        /** Put the sample shop on the shelf, or take it away again; what was changed since stays */
        put: operations["setSample"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shop": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The shop, its fields and what can be chosen in it */
        get: operations["getShop"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        /** Edit the shop and store it; what other windows did meanwhile stays */
        patch: operations["editShop"];
        trace?: never;
    };
    "/api/shop/calibration": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Work out what a tool reads from what was measured on a scrap; nothing is stored */
        post: operations["calibrate"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/template": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Hold a ready-made envelope of an SVG or DXF against a job's card; nothing is stored */
        post: operations["readTemplate"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/trouble": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What is wrong with where the data lies, if anything is */
        get: operations["getTrouble"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/worksheet": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What is done at the bench, step by step, for the tools on the shelf */
        post: operations["writeWorksheet"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/worksheet/wrong": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What can still be made where a step came out as another length */
        post: operations["mendStep"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        Act: {
            id: string;
            label: string;
            /** Format: field-path */
            path: FieldPath;
        };
        AddJobRequest: {
            copyOf: string;
        };
        Addable: {
            full: boolean;
            lists: string[];
            /** Format: field-path */
            path: FieldPath;
        };
        Adhesive: {
            holds?: string[];
            id: string;
            /** Format: int64 */
            minutes?: number;
            name: string;
            off?: boolean;
            offSince?: string;
            /** Format: int64 */
            width: number;
        };
        BackupBody: {
            holds: string;
            made: string;
            name: string;
            size: string;
            trouble: string;
            why: string;
        };
        BackupsBody: {
            backups: components["schemas"]["BackupBody"][];
            dir: string;
            rule: string;
            trouble: string;
        };
        BasePlan: {
            across: boolean;
            fold: string;
            height: components["schemas"]["Shown"];
            name: string;
            panels: components["schemas"]["PanelPlan"][];
            scores: components["schemas"]["ScorePlan"][];
            width: components["schemas"]["Shown"];
        };
        BeamPlan: {
            /** Format: double */
            at: number;
            /** Format: double */
            least: number;
            /** Format: double */
            length: number;
            /** Format: double */
            most: number;
            pull: string;
            /** Format: double */
            radius: number;
            /** Format: double */
            rigidFrom: number;
            /** Format: double */
            rigidTo: number;
            rows: components["schemas"]["Reading"][];
            sentence: string;
            /** Format: double */
            share: number;
            stiffness: number[];
            tone: string;
            words: string;
        };
        BeginWithLineRequest: {
            id: string;
            text: string;
        };
        BenchPiece: {
            /** Format: int64 */
            count: number;
            flat: components["schemas"]["Drawing"];
            id: string;
            name: string;
            paper: string;
            singles?: components["schemas"]["BenchSingle"][];
            size: string;
            words: string;
        };
        BenchPlan: {
            cutter: FieldPath[];
            mats?: components["schemas"]["MatPlan"];
            notes: components["schemas"]["Note"][];
            pieces: components["schemas"]["BenchPiece"][];
            sentence: components["schemas"]["Sentence"];
        };
        BenchSingle: {
            id: string;
            name: string;
        };
        BenchStep: {
            act: string;
            caution: string;
            check: string;
            /** Format: int64 */
            count: number;
            drawing: string;
            flat: components["schemas"]["Drawing"];
            how: string[];
            /** Format: int64 */
            minutes: number;
            name: string;
            number: string;
            piece: string;
            says: components["schemas"]["Sentence"];
            size: string;
        };
        BlankPlan: {
            alignment?: string;
            callouts: components["schemas"]["Callout"][];
            closed: components["schemas"]["BlankPlanClosedStruct"];
            dimensions: components["schemas"]["Dimension"][];
            drawing: string;
            easeHeight: components["schemas"]["Shown"];
            easeWidth: components["schemas"]["Shown"];
            exact: components["schemas"]["Shown"];
            flat: components["schemas"]["Drawing"];
            folding: components["schemas"]["Net"];
            folds: components["schemas"]["FoldStep"][];
            inside: components["schemas"]["Face"];
            lies: components["schemas"]["Size"];
            notes: components["schemas"]["Note"][];
            options: FieldPath[];
            outside: components["schemas"]["Face"];
            overlap: components["schemas"]["Shown"];
            readings: components["schemas"]["Reading"][];
            scores: components["schemas"]["ScoreMark"][];
            seam: components["schemas"]["Shown"];
            sentence: components["schemas"]["Sentence"];
            sheet: components["schemas"]["Shown"];
            size: string;
            way: string;
            ways: components["schemas"]["WayPlan"][];
            where: string;
            wishes: FieldPath[];
        };
        BlankPlanClosedStruct: {
            height: components["schemas"]["Shown"];
            width: components["schemas"]["Shown"];
        };
        BringBackRequest: {
            /** Format: int64 */
            version: number;
        };
        CalibrateRequest: {
            tool: string;
            typed: {
                [key: string]: string;
            };
        };
        CalibrationBody: {
            asks: components["schemas"]["MeasureBody"][];
            steps: string[];
        };
        Callout: {
            at: components["schemas"]["Point"];
            /** Format: field-path */
            field: FieldPath;
            text: string;
        };
        CameBody: {
            text: string;
        };
        Card: {
            asked?: {
                [key: string]: number;
            };
            fold: string;
            /** Format: double */
            grams?: number;
            /** Format: int64 */
            height?: number;
            made?: boolean;
            outline?: components["schemas"]["Point"][];
            /** Format: int64 */
            overHeight?: number;
            /** Format: int64 */
            overWidth?: number;
            own?: number[];
            /** Format: int64 */
            panels?: number;
            room?: string;
            /** Format: int64 */
            spine?: number;
            /** Format: int64 */
            thickness?: number;
            /** Format: int64 */
            thicknessOf?: number;
            towards?: boolean;
            /** Format: int64 */
            width?: number;
        };
        CardPlan: {
            bases: components["schemas"]["BasePlan"][];
            drawing: string;
            flat: components["schemas"]["Drawing"];
            height: components["schemas"]["Shown"];
            how: components["schemas"]["HowLine"][];
            made: boolean;
            measured: boolean;
            more: FieldPath[];
            moreSet: boolean;
            notes: components["schemas"]["Note"][];
            options: FieldPath[];
            overlaps: components["schemas"]["OverlapPlan"][];
            parts: components["schemas"]["PartPlan"][];
            predicted: components["schemas"]["Shown"];
            predictedExact: string;
            room: components["schemas"]["RoomPlan"];
            sentence: components["schemas"]["Sentence"];
            sheets: components["schemas"]["SheetPlan"][];
            thickness: components["schemas"]["Shown"];
            width: components["schemas"]["Shown"];
        };
        CautionPlan: {
            found: string;
            id: string;
            name: string;
            set: boolean;
            text: string;
        };
        ChartPlan: {
            less: string[];
            rows: components["schemas"]["ChartRow"][];
            text: string;
        };
        ChartRow: {
            card: string;
            envelope: string;
            flat: string;
            layers: string[];
            mail: string;
            name: string;
            top: string;
        };
        CheckPlan: {
            about: string;
            close: boolean;
            gauge: components["schemas"]["Gauge"];
            guidance: boolean;
            here?: components["schemas"]["HerePlan"];
            label: string;
            limit: string;
            margin: string;
            measure: string;
            measured: string;
            ok: boolean;
            surcharge: boolean;
            worst: string;
        };
        ChipPlan: {
            means: string;
            text: string;
        };
        Choice: {
            id: string;
            name: string;
        };
        ClassFile: {
            id: string;
            limits: components["schemas"]["LimitFile"][];
            name: string;
            /** @description the class whose size, thickness or weight a piece must exceed */
            over?: string;
            surcharge?: components["schemas"]["SurchargeFile"];
        };
        ClassPlan: {
            checks: components["schemas"]["CheckPlan"][];
            chosen: boolean;
            id: string;
            name: string;
            /** @enum {string} */
            outcome: "goes" | "surcharged" | "ask" | "refused" | "not needed";
        };
        ComparisonPlan: {
            matches: components["schemas"]["MatchPlan"][];
            rectangle: string;
            rows: components["schemas"]["ConstructionPlan"][];
            sentence: string;
            /** @enum {string} */
            sort: "paper" | "quick" | "neat" | "mail";
        };
        ConstructionPlan: {
            chosen: boolean;
            closed: string;
            depth: string;
            drawing: string;
            /** Format: int64 */
            faults: number;
            fitText: string;
            fits: boolean;
            id: string;
            mail: string;
            name: string;
            net: components["schemas"]["Sketch"];
            ok: boolean;
            opens: string;
            paper: string;
            price: string;
            recommended: boolean;
            seam: string;
            sheet: string;
            text: string;
            tone: string;
            work: string;
        };
        Crease: {
            /** Format: double */
            angle: number;
            from: components["schemas"]["Point"];
            on: string;
            /** Format: int64 */
            order: number;
            panel: string;
            to: components["schemas"]["Point"];
        };
        Cut: {
            /** Format: int64 */
            at: number;
            down: boolean;
            from: components["schemas"]["Rect"];
            /** Format: int64 */
            number: number;
            rest?: string;
        };
        CutBody: {
            cut?: components["schemas"]["CutPlan"];
            going: boolean;
            message: string;
        };
        CutMatRequest: {
            act: string;
        };
        CutPlan: {
            flat: components["schemas"]["Drawing"];
            passes: string[];
            says: components["schemas"]["Note"];
            size: string;
            words: string;
        };
        Cutter: {
            cuts?: string;
            /** Format: int64 */
            dash?: number;
            /** Format: int64 */
            gap?: number;
            /** Format: int64 */
            inset?: number;
            scores?: string;
            units?: string;
        };
        CutterBody: {
            simulated: boolean;
        };
        CuttingLine: {
            plan?: components["schemas"]["StockPlan"];
            progress?: components["schemas"]["Progress"];
            waits?: boolean;
        };
        DamageBody: {
            backups: components["schemas"]["BackupBody"][];
            /** Format: int64 */
            broken: number;
            damaged: boolean;
            dir: string;
            missing: boolean;
            /** Format: int64 */
            states: number;
            uncounted: boolean;
            what: string;
            /** Format: int64 */
            whole: number;
        };
        DestinationPlan: {
            chosen: boolean;
            id: string;
            name: string;
            price: string;
            short: string;
            tone: string;
            why: string;
        };
        Dimension: {
            /** Format: field-path */
            field?: FieldPath;
            from: components["schemas"]["Point"];
            id: string;
            /** Format: int64 */
            nm: number;
            /** Format: double */
            shift: number;
            text: string;
            to: components["schemas"]["Point"];
        };
        Drawing: {
            /** Format: double */
            height: number;
            labels: components["schemas"]["Label"][];
            shapes: components["schemas"]["Shape"][];
            /** Format: double */
            width: number;
        };
        Edges: {
            /** Format: int64 */
            bottom: number;
            /** Format: int64 */
            left: number;
            /** Format: int64 */
            right: number;
            /** Format: int64 */
            top: number;
        };
        Edit: {
            /** @enum {string} */
            act: "type" | "step" | "set" | "add" | "remove" | "move" | "take";
            /** Format: field-path */
            path: FieldPath;
            /** Format: int64 */
            steps?: number;
            text?: string;
            was?: string;
        };
        EditShopRequest: {
            act?: string;
            edits: components["schemas"]["Edit"][];
        };
        EnvelopePlan: {
            blank: components["schemas"]["BlankPlan"];
            comparison: components["schemas"]["ComparisonPlan"];
            construction: string;
            fits: components["schemas"]["FitPlan"][];
            fitsSentence: components["schemas"]["Sentence"];
            how: components["schemas"]["HowLine"][];
            misses: components["schemas"]["FitPlan"][];
            own: components["schemas"]["FitPlan"];
            sizes: components["schemas"]["SizePlan"][];
        };
        EnvelopeWish: {
            adhesive: string;
            asked?: {
                [key: string]: number;
            };
            box?: string;
            construction?: string;
            /** Format: int64 */
            corner?: number;
            /** Format: int64 */
            depth?: number;
            double?: boolean;
            /** Format: int64 */
            ease: number;
            /** Format: int64 */
            flap?: number;
            flapShape?: string;
            foldTips?: boolean;
            from?: string;
            liner?: string;
            low?: boolean;
            mailable?: boolean;
            /** Format: int64 */
            notch?: number;
            oneSide?: boolean;
            opens?: string;
            /** Format: int64 */
            ownHeight?: number;
            /** Format: int64 */
            ownWidth?: number;
            patternInside?: boolean;
            pocket?: string;
            /** @enum {string} */
            school: "exact" | "diagonal" | "notch";
            /** Format: int64 */
            seam: number;
            /** Format: int64 */
            sliver?: number;
            sort?: string;
            stock: string;
            tabsOnBack?: boolean;
            /** Format: int64 */
            thumbGap: number;
            walls?: string;
            way: string;
            wished?: components["schemas"]["SizeWish"];
        };
        ErrorDetail: {
            /** @description Where the error occurred, e.g. 'body.items[3].tags' or 'path.thing-id' */
            location?: string;
            /** @description Error message text */
            message?: string;
            /** @description The value at the given location */
            value?: unknown;
        };
        ErrorModel: {
            /**
             * @description A human-readable explanation specific to this occurrence of the problem.
             * @example Property foo is required but is missing.
             */
            detail?: string;
            /** @description Optional list of individual error details */
            errors?: components["schemas"]["ErrorDetail"][];
            /**
             * Format: uri
             * @description A URI reference that identifies the specific occurrence of the problem.
             * @example https://example.com/error-log/abc123
             */
            instance?: string;
            /**
             * Format: int64
             * @description HTTP status code
             * @example 400
             */
            status?: number;
            /**
             * @description A short, human-readable summary of the problem type. This value should not change between occurrences of the error.
             * @example Bad Request
             */
            title?: string;
            /**
             * Format: uri
             * @description A URI reference to human-readable documentation for the error.
             * @default about:blank
             * @example https://example.com/errors/example
             */
            type: string;
        };
        Event: {
            job?: string;
            /** @enum {string} */
            kind: "job" | "shop" | "jobs" | "trouble" | "bench" | "everything";
            /** Format: int64 */
            version: number;
        };
        Face: {
            colour?: string;
            pattern?: string;
        };
        File: {
            /** @description the classes, cheapest first */
            classes: components["schemas"]["ClassFile"][];
            /** @description how sure it is, in a few words */
            confidence: string;
            /** @description the least that is mailable at all */
            floor?: components["schemas"]["FloorFile"];
            /** @description its name inside, unlike that of any other rulebook */
            id: string;
            /** @description the day somebody last held them against the source, as 2026-11-24; empty when nobody did */
            lastChecked?: string;
            /** @description when the rules took effect, as far as is known */
            published?: string;
            /** @description the country or region whose post it is */
            region: string;
            /** @description what of that post: home mail, abroad */
            service: string;
            /** @description where the rules stand: country, manual and section in general words */
            source: string;
        };
        FitPlan: {
            aboveEase: components["schemas"]["Shown"];
            chosen: boolean;
            drawing: string;
            easeHeight: components["schemas"]["Shown"];
            easeWidth: components["schemas"]["Shown"];
            /** Format: int64 */
            have: number;
            id: string;
            inner: components["schemas"]["Size"];
            name: string;
            outer: components["schemas"]["Size"];
            owned: boolean;
            said: string;
            sideEase: components["schemas"]["Shown"];
            size: string;
            strips?: components["schemas"]["Strip"][];
            takes: components["schemas"]["Size"];
            turned: boolean;
            verdict: string;
            why: string;
        };
        FloorFile: {
            limits: components["schemas"]["LimitFile"][];
            /** @description it holds for pieces up to this thickness */
            upToThickness: string;
        };
        FoldSheet: {
            folds: components["schemas"]["FoldYield"][];
            /** Format: int64 */
            height: number;
            id: string;
            name: string;
            /** Format: int64 */
            width: number;
        };
        FoldStep: {
            advice: string;
            glue: string;
            /** Format: int64 */
            order: number;
            text: string;
        };
        FoldYield: {
            /** Format: int64 */
            each: number;
            flat: string;
            fold: string;
            name: string;
            text: string;
        };
        FormatBody: {
            draws: boolean;
            for: string;
            id: string;
            lists: boolean;
            name: string;
        };
        FoundBody: {
            edits: components["schemas"]["Edit"][];
            found: components["schemas"]["FoundValue"][];
            problems: components["schemas"]["Problem"][];
            told: string;
        };
        FoundValue: {
            label: string;
            text: string;
        };
        Gauge: {
            /** Format: double */
            at: number;
            /** Format: double */
            from: number;
            /** Format: double */
            to: number;
        };
        GaugePlan: {
            bottom: components["schemas"]["Shown"];
            class: string;
            flat: components["schemas"]["Drawing"];
            height: components["schemas"]["Shown"];
            left: components["schemas"]["Shown"];
            ok: boolean;
            right: components["schemas"]["Shown"];
            slot: string;
            slotHeight: string;
            text: string;
            top: components["schemas"]["Shown"];
            width: components["schemas"]["Shown"];
        };
        Glue: {
            onto: string;
            panel: string;
            zone: components["schemas"]["Point"][];
        };
        HavePlan: {
            largest: components["schemas"]["HaveRow"][];
            rows: components["schemas"]["HaveRow"][];
            sentence: components["schemas"]["Sentence"];
            sheet: string;
        };
        HaveRow: {
            current: boolean;
            /** Format: int64 */
            each: number;
            envelope: string;
            flat: string;
            fold: string;
            id: string;
            mail: string;
            owned: boolean;
            size: string;
            twin: string;
            twinId: string;
            waste: string;
        };
        HerePlan: {
            limit: string;
            margin: string;
            measured: string;
        };
        HowLine: {
            id: string;
            name: string;
            note?: string;
            result: string;
            terms: components["schemas"]["HowTerm"][];
        };
        HowTerm: {
            name: string;
            op?: string;
            text: string;
        };
        InBackup: {
            changed: string;
            id: string;
            name: string;
            now: string;
        };
        Input: {
            exact: string;
            /** @enum {string} */
            kind: "length" | "lengths" | "weight" | "grammage" | "count" | "word" | "choice" | "choices" | "flag" | "price" | "date";
            label: string;
            list: string;
            none: boolean;
            note: string;
            text: string;
            unit?: string;
            usual?: string;
        };
        InsideBody: {
            jobs: components["schemas"]["InBackup"][];
            new: string;
            /** Format: int64 */
            same: number;
        };
        Instrument: {
            /** Format: field-path */
            field: FieldPath;
            id: string;
            name: string;
            tares: boolean;
        };
        Item: {
            /** Format: int64 */
            height: number;
            id: string;
            name: string;
            /** Format: int64 */
            width: number;
        };
        ItemPlaced: {
            /** Format: double */
            height: number;
            id: string;
            name: string;
            /** Format: double */
            width: number;
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        ItemRung: {
            all: boolean;
            name: string;
            size: string;
            text: string;
        };
        ItemsPlan: {
            placed: components["schemas"]["ItemPlaced"][];
            /** Format: int64 */
            row: number;
            rungs: components["schemas"]["ItemRung"][];
            sentence: string;
        };
        Job: {
            card: components["schemas"]["Card"];
            /** Format: int64 */
            count: number;
            envelope: components["schemas"]["EnvelopeWish"];
            items?: components["schemas"]["Item"][];
            mail: components["schemas"]["MailWish"];
            name: string;
            paper?: components["schemas"]["PaperWish"];
            parts: components["schemas"]["Part"][];
            recipe?: components["schemas"]["Recipe"];
            start?: components["schemas"]["Start"];
        };
        JobBody: {
            changed: string;
            id: string;
            job: components["schemas"]["Job"];
            removed: boolean;
            /** Format: int64 */
            version: number;
        };
        JobList: {
            jobs: components["schemas"]["ListedJob"][];
            /** Format: int64 */
            of: number;
        };
        Label: {
            at: components["schemas"]["Point"];
            /** Format: double */
            high?: number;
            part: string;
            /** Format: double */
            room: number;
            text: string;
        };
        LadderPlan: {
            drawing: string;
            flat: components["schemas"]["Drawing"];
            swatches: components["schemas"]["Swatch"][];
        };
        LayerRow: {
            edited: FieldPath[];
            face: components["schemas"]["Face"];
            /** Format: int64 */
            height: number;
            id: string;
            mayRise: boolean;
            maySink: boolean;
            mount: string;
            name: string;
            onRung: boolean;
            paper: string;
            /** Format: int64 */
            part: number;
            /** Format: int64 */
            rung: number;
            rungs: components["schemas"]["RungPlan"][];
            share: string;
            size: string;
            sizing: string;
            /** Format: int64 */
            width: number;
            window: string;
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        LayerThing: {
            disc: boolean;
            /** Format: double */
            height: number;
            id: string;
            name: string;
            /** Format: double */
            width: number;
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        LayersPlan: {
            drawing: string;
            items: components["schemas"]["ItemsPlan"];
            ladder: components["schemas"]["LadderPlan"];
            liners: components["schemas"]["LayerRow"][];
            notes: components["schemas"]["Note"][];
            order: number[];
            panelHeight: components["schemas"]["Shown"];
            panelWidth: components["schemas"]["Shown"];
            rows: components["schemas"]["LayerRow"][];
            sentence: components["schemas"]["Sentence"];
            things: components["schemas"]["LayerThing"][];
        };
        LayoutPlan: {
            cuts: components["schemas"]["Cut"][];
            drawing: string;
            name: string;
            offcuts: components["schemas"]["OffcutPlan"][];
            pieces: components["schemas"]["Placed"][];
            /** Format: int64 */
            times: number;
        };
        LimitFile: {
            /** @description the post does not say this number: it is what makers go by */
            guidance?: boolean;
            max?: string;
            measure: string;
            min?: string;
            /** @description one of these must hold for the limit to count */
            when?: components["schemas"]["When"][];
        };
        LineEnvelope: {
            colour?: string;
            /** Format: double */
            height: number;
            /** Format: double */
            width: number;
        };
        LinePaper: {
            colour?: string;
            disc?: boolean;
            /** Format: double */
            height: number;
            thing?: boolean;
            /** Format: double */
            width: number;
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        LinePlan: {
            chips: components["schemas"]["ChipPlan"][];
            unread: string[];
        };
        ListFormatsResponse: {
            formats: components["schemas"]["FormatBody"][];
        };
        ListedJob: {
            changed: string;
            count: string;
            door: string;
            envelope?: components["schemas"]["LineEnvelope"];
            /** Format: int64 */
            height: number;
            id: string;
            mail: string;
            name: string;
            papers: components["schemas"]["LinePaper"][];
            problem: string;
            size: string;
            /** @enum {string} */
            tone: "fine" | "care" | "trouble";
            /** Format: int64 */
            version: number;
            /** Format: int64 */
            width: number;
        };
        MailPlan: {
            addressUpright: boolean;
            beam: components["schemas"]["BeamPlan"];
            cautions: components["schemas"]["CautionPlan"][];
            classes: components["schemas"]["ClassPlan"][];
            destination: string;
            drawing: string;
            everywhere: components["schemas"]["DestinationPlan"][];
            fixesNote: string;
            gauge?: components["schemas"]["GaugePlan"];
            height: components["schemas"]["Shown"];
            measured: components["schemas"]["MeasuredPlan"][];
            notes: components["schemas"]["Note"][];
            options: FieldPath[];
            postage: components["schemas"]["PostagePlan"];
            readings: components["schemas"]["Reading"][];
            rectangle?: components["schemas"]["RectanglePlan"];
            relief: components["schemas"]["ReliefPlan"];
            remedies: components["schemas"]["RemedyPlan"][];
            sentence: components["schemas"]["Sentence"];
            short: string;
            source: string;
            thickness: components["schemas"]["Shown"];
            title: string;
            tone: string;
            weights: components["schemas"]["WeightPlan"][];
            width: components["schemas"]["Shown"];
        };
        MailWish: {
            addressShort?: boolean;
            bare?: boolean;
            class?: string;
            closure?: string;
            contents?: string[];
            destination: string;
            /** Format: int64 */
            gaugeHeight?: number;
            /** Format: int64 */
            gaugeSlot?: number;
            /** Format: int64 */
            gaugeWidth?: number;
            handCancel?: boolean;
            measured?: components["schemas"]["Measured"];
            /** Format: int64 */
            radius?: number;
        };
        MakePlanRequest: {
            edits: components["schemas"]["Edit"][];
            job: components["schemas"]["Job"];
            open?: string;
        };
        Makings: {
            /** Format: int64 */
            hold: number;
            /** Format: int64 */
            in: number;
            /** Format: int64 */
            of: number;
            text: string;
        };
        Mat: {
            /** Format: int64 */
            height: number;
            id: string;
            /** Format: int64 */
            margin?: number;
            name: string;
            off?: boolean;
            offSince?: string;
            /** Format: int64 */
            width: number;
        };
        MatLoad: {
            flat: components["schemas"]["Drawing"];
            holds: string;
            id: string;
            name: string;
            paper: string;
            size: string;
            /** Format: int64 */
            times: number;
            words: string;
        };
        MatMisfit: {
            flat: components["schemas"]["Drawing"];
            id: string;
            offers: components["schemas"]["MatOffer"][];
            size: string;
            sticks: string;
            text: string;
            words: string;
        };
        MatOffer: {
            id: string;
            text: string;
            title: string;
        };
        MatPlan: {
            /** Format: field-path */
            field: FieldPath;
            loads: components["schemas"]["MatLoad"][];
            misfits: components["schemas"]["MatMisfit"][];
            says: string;
        };
        MatchPlan: {
            id: string;
            text: string;
        };
        MeasureBody: {
            label: string;
            name: string;
            note: string;
        };
        Measured: {
            /** Format: int64 */
            apart?: number;
            /** Format: int64 */
            droop?: number;
            for?: string;
            /** Format: int64 */
            gaugeOf?: number;
            /** Format: double */
            grams?: number;
            /** Format: double */
            gramsOf?: number;
            gramsOn?: string;
            /** Format: double */
            load?: number;
            /** Format: int64 */
            overhang?: number;
            /** Format: int64 */
            sag?: number;
            /** Format: int64 */
            slot?: number;
            /** Format: double */
            stiffer?: number;
            /** Format: int64 */
            thickness?: number;
            /** Format: int64 */
            thicknessOf?: number;
            thicknessOn?: string;
            through?: string;
            triedOn?: string;
        };
        MeasuredPlan: {
            about?: string;
            id: string;
            label: string;
            measured: string;
            off: string;
            predicted: string;
        };
        Mend: {
            edits: components["schemas"]["Edit"][];
            text: string;
        };
        MendStepRequest: {
            is: string;
            job: components["schemas"]["Job"];
            /** Format: int64 */
            step: number;
            sure?: boolean;
        };
        Mended: {
            ask: string;
            fine: boolean;
            says: string;
            ways: components["schemas"]["Mend"][];
        };
        Missing: {
            choices: components["schemas"]["Choice"][];
            /** Format: field-path */
            path: FieldPath;
            text: string;
        };
        Net: {
            creases: components["schemas"]["Crease"][];
            cutAway: components["schemas"]["Point"][][];
            glue: components["schemas"]["Glue"][];
            outline: components["schemas"]["Point"][];
            panels: components["schemas"]["Panel"][];
            sheet: components["schemas"]["Point"][];
            slits?: components["schemas"]["Slit"][];
        };
        Note: {
            act?: components["schemas"]["Act"];
            text: string;
            tone: string;
        };
        OffcutPlan: {
            /** Format: int64 */
            height: number;
            makes: string;
            size: string;
            /** Format: int64 */
            width: number;
            /** Format: int64 */
            x: number;
            /** Format: int64 */
            y: number;
        };
        OutlinePlan: {
            /** Format: int64 */
            height: number;
            outline: components["schemas"]["Point"][];
            sentence: string;
            turned: components["schemas"]["Point"][];
            /** Format: int64 */
            uprightHeight: number;
            /** Format: int64 */
            uprightWidth: number;
            /** Format: int64 */
            width: number;
        };
        OverlapPlan: {
            id: string;
            /** Format: field-path */
            path: FieldPath;
            text: string;
        };
        OwnRulebook: {
            file: components["schemas"]["File"];
            off?: boolean;
            offSince?: string;
        };
        Owned: {
            board?: string;
            cutter?: string;
            embosser?: string;
            folder?: string;
            knife?: string;
            pegs?: string;
            punch?: string;
            rounder?: string;
            scissors?: string;
            trimmer?: string;
        };
        OwnedEnvelope: {
            /** Format: int64 */
            cents?: number;
            /** Format: int64 */
            have?: number;
            /** Format: int64 */
            height: number;
            id: string;
            name: string;
            off?: boolean;
            offSince?: string;
            opens?: string;
            /** Format: int64 */
            width: number;
        };
        Panel: {
            id: string;
            name: string;
            outline: components["schemas"]["Point"][];
        };
        PanelPlan: {
            name: string;
            size: components["schemas"]["Shown"];
        };
        PaperPlan: {
            folds: components["schemas"]["FoldSheet"][];
            have?: components["schemas"]["HavePlan"];
            notes: components["schemas"]["Note"][];
            options: FieldPath[];
            sentence: components["schemas"]["Sentence"];
            short: string;
            stocks: components["schemas"]["StockPlan"][];
            tone: string;
        };
        PaperWish: {
            alongGrain?: boolean;
            have?: string;
            mat?: string;
            noBlanks?: boolean;
            only?: string;
            sheets?: {
                [key: string]: string;
            };
        };
        Part: {
            /** Format: int64 */
            border: number;
            edges?: components["schemas"]["Edges"];
            embossed?: boolean;
            /** Format: int64 */
            foam: number;
            id: string;
            /** @enum {string} */
            kind: "base" | "layer" | "liner" | "thing";
            name: string;
            own?: components["schemas"]["Size"];
            /** Format: int64 */
            ready?: number;
            stock: string;
            thing?: components["schemas"]["Thing"];
            turned?: boolean;
            window?: boolean;
        };
        PartPlan: {
            caliper: string;
            edited: FieldPath[];
            /** Format: double */
            grams: number;
            id: string;
            /** Format: int64 */
            layers: number;
            name: string;
            /** Format: int64 */
            part: number;
            size: string;
            stock: string;
            thing: boolean;
        };
        PieceLine: {
            /** Format: int64 */
            count: number;
            name: string;
            size: string;
        };
        PieceSketch: {
            /** Format: double */
            height: number;
            /** Format: double */
            thickness: number;
            /** Format: double */
            width: number;
        };
        Placed: {
            /** Format: int64 */
            height: number;
            /** Format: int64 */
            piece: number;
            turned: boolean;
            /** Format: int64 */
            width: number;
            /** Format: int64 */
            x: number;
            /** Format: int64 */
            y: number;
        };
        Plan: {
            adds: components["schemas"]["Addable"][];
            bench: components["schemas"]["BenchPlan"];
            card: components["schemas"]["CardPlan"];
            envelope: components["schemas"]["EnvelopePlan"];
            fields: {
                [key: string]: components["schemas"]["Input"];
            };
            layers: components["schemas"]["LayersPlan"];
            mail: components["schemas"]["MailPlan"];
            missing: components["schemas"]["Missing"][];
            open: string;
            paper: components["schemas"]["PaperPlan"];
            recipe?: components["schemas"]["RecipePlan"];
            start?: components["schemas"]["StartPlan"];
            /** Format: int64 */
            tick: number;
            ticket: components["schemas"]["TicketLine"][];
            /** @enum {string} */
            unit: "in" | "mm";
            waits?: components["schemas"]["Waiting"];
        };
        PlanBody: {
            job: components["schemas"]["Job"];
            plan: components["schemas"]["Plan"];
            problems: components["schemas"]["Problem"][];
            /** Format: int64 */
            shopVersion: number;
        };
        Point: {
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        PostagePlan: {
            each: string;
            notes: components["schemas"]["Note"][];
            total: string;
        };
        Problem: {
            message: string;
            /** Format: field-path */
            path: FieldPath;
            unfinished: boolean;
        };
        Progress: {
            /** Format: int64 */
            bound: number;
            /** Format: int64 */
            of: number;
            /** Format: int64 */
            sheets: number;
            /** Format: int64 */
            steps: number;
        };
        ProgressBody: {
            /** Format: int64 */
            step: number;
        };
        Rate: {
            /** Format: int64 */
            cents: number;
            class: string;
            surcharge?: boolean;
            /** Format: double */
            upTo: number;
        };
        RateCard: {
            currency: string;
            dated: string;
            example?: boolean;
            id: string;
            name: string;
            rates: components["schemas"]["Rate"][];
            rulebook: string;
        };
        ReadLineRequest: {
            job?: components["schemas"]["Job"];
            text: string;
        };
        ReadOutlineRequest: {
            text: string;
        };
        ReadTemplateRequest: {
            job: components["schemas"]["Job"];
            text: string;
        };
        Reading: {
            exact?: string;
            id: string;
            label: string;
            note: string;
            value: string;
        };
        Recipe: {
            /** Format: int64 */
            bottom: number;
            /** Format: int64 */
            claimHeight?: number;
            claimOf?: string;
            /** Format: int64 */
            claimWidth?: number;
            /** Format: int64 */
            corner?: number;
            form: string;
            /** Format: int64 */
            left: number;
            /** Format: int64 */
            notch?: number;
            /** Format: int64 */
            quoted?: number;
            quotedOf?: string;
            /** Format: int64 */
            right: number;
            /** Format: int64 */
            side1: number;
            /** Format: int64 */
            side2: number;
            text?: string;
            /** Format: int64 */
            top: number;
            /** Format: int64 */
            wall?: number;
        };
        RecipePlan: {
            asks: FieldPath[];
            card: string;
            corner: string;
            form: string;
            line?: components["schemas"]["LinePlan"];
            name: string;
            notes: components["schemas"]["Note"][];
            readings: components["schemas"]["RecipeReading"][];
            rescaled: string;
            sentence: components["schemas"]["Sentence"];
            works: boolean;
        };
        RecipeReading: {
            dimensions: components["schemas"]["Dimension"][];
            drawing: string;
            ease: string;
            fits: boolean;
            flat: components["schemas"]["Drawing"];
            hole: string;
            inside: string;
            name: string;
            said: string;
            seamNames: string[];
            seams: string[];
            suits: boolean;
        };
        Rect: {
            /** Format: int64 */
            height: number;
            /** Format: int64 */
            width: number;
            /** Format: int64 */
            x: number;
            /** Format: int64 */
            y: number;
        };
        RectanglePlan: {
            height: components["schemas"]["Shown"];
            width: components["schemas"]["Shown"];
        };
        ReliefPart: {
            disc: boolean;
            draping: boolean;
            /** Format: double */
            height: number;
            high: boolean;
            /** Format: double */
            level: number;
            name: string;
            /** Format: int64 */
            part: number;
            thing: boolean;
            top: string;
            /** Format: double */
            width: number;
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        ReliefPlan: {
            at: components["schemas"]["Spot"];
            cuts: components["schemas"]["SectionPlan"][];
            /** Format: double */
            height: number;
            max: components["schemas"]["Shown"];
            min: components["schemas"]["Shown"];
            parts: components["schemas"]["ReliefPart"][];
            rows: components["schemas"]["Reading"][];
            /** Format: double */
            width: number;
            words: string;
        };
        RemedyPlan: {
            id: string;
            piece: components["schemas"]["PieceSketch"];
            possible: boolean;
            proven: boolean;
            short: string;
            sure: boolean;
            text: string;
            title: string;
            tone: string;
        };
        Removed: {
            id: string;
            kind: string;
            name: string;
            path: string;
            /** Format: int64 */
            version: number;
            when: string;
        };
        RenameJobRequest: {
            name: string;
            /** Format: int64 */
            version: number;
        };
        Renumbers: {
            /** Format: int64 */
            count: number;
            names: string[];
        };
        RepairRequest: {
            backup?: string;
            /** @enum {string} */
            choice: "together" | "backup" | "left" | "anew";
        };
        RoomPlan: {
            /** Format: int64 */
            above: number;
            block: components["schemas"]["Shown"];
            /** @enum {string} */
            chosen: "block" | "heap";
            heapHeight: components["schemas"]["Shown"];
            heapWidth: components["schemas"]["Shown"];
            /** Format: int64 */
            left: number;
            outer: string;
            outerSize: components["schemas"]["Size"];
            section: components["schemas"]["SectionPart"][];
            text: string;
        };
        RuleClass: {
            /** Format: int64 */
            at: number;
            costly: components["schemas"]["RuleLine"][];
            name: string;
            over: string;
            path: string;
            rows: components["schemas"]["RuleLine"][];
            surcharge: string;
        };
        RuleLine: {
            about: string;
            flag: boolean;
            label: string;
            max: string;
            min: string;
            path: string;
        };
        RulePage: {
            classes: components["schemas"]["RuleClass"][];
            confidence: string;
            file: components["schemas"]["File"];
            id: string;
            lastChecked: string;
            notes: components["schemas"]["Note"][];
            off: boolean;
            /** Format: int64 */
            own: number;
            path: string;
            published: string;
            source: string;
            title: string;
        };
        RungPlan: {
            border: components["schemas"]["Shown"];
            id: string;
            share: string;
        };
        SaidChip: {
            text: string;
            why?: string;
        };
        SampleBody: {
            dimensions: components["schemas"]["Dimension"][];
            flat: components["schemas"]["Drawing"];
            id: string;
            job: components["schemas"]["Job"];
            samples: boolean;
            sentence: components["schemas"]["Sentence"];
            size: string;
            taken: boolean;
            /** @enum {string} */
            unit: "in" | "mm";
            words: string;
        };
        SaveJobRequest: {
            act?: string;
            after?: string[];
            edits?: components["schemas"]["Edit"][];
            job: components["schemas"]["Job"];
            /** Format: int64 */
            version: number;
        };
        Saying: {
            chips: components["schemas"]["SaidChip"][];
            drawer: string;
            edits: components["schemas"]["Edit"][];
            station: string;
            text: components["schemas"]["Stretch"][];
            whole: boolean;
        };
        SchoolRow: {
            current: boolean;
            flat: string;
            /** @enum {string} */
            id: "quarter" | "raised" | "trade" | "inch" | "measure" | "metric" | "own";
            names: string[];
            said: string;
            size: string;
            verdict: string;
            why: string;
        };
        ScoreMark: {
            end: components["schemas"]["Point"];
            first: boolean;
            from: string;
            panel: string;
            start: components["schemas"]["Point"];
            text: string;
            upright: boolean;
        };
        ScorePlan: {
            at: components["schemas"]["Shown"];
            inside: boolean;
        };
        SearchCuttingRequest: {
            job: components["schemas"]["Job"];
            sheet: string;
            stock: string;
        };
        SectionPart: {
            foam: boolean;
            /** Format: double */
            height: number;
            name: string;
            /** Format: double */
            width: number;
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        SectionPlan: {
            /** Format: double */
            at: number;
            hull: components["schemas"]["Spot"][];
            /** @enum {string} */
            id: "across" | "down";
            steps: components["schemas"]["Step"][];
            text: string;
        };
        Sentence: {
            spans: components["schemas"]["Span"][];
            text: string;
        };
        SetJobArchivedRequest: {
            archived: boolean;
            /** Format: int64 */
            version: number;
        };
        SetJobRemovedRequest: {
            removed: boolean;
            /** Format: int64 */
            version: number;
        };
        SetSampleRequest: {
            act?: string;
            taken: boolean;
        };
        SettingPlan: {
            at: components["schemas"]["Shown"];
            exact: string;
            from: string;
            label: string;
        };
        Shape: {
            closed?: boolean;
            corners: components["schemas"]["Point"][];
            /** Format: field-path */
            field?: FieldPath;
            inside?: boolean;
            kind: string;
            paper?: boolean;
            part: string;
        };
        Sheet: {
            /** Format: int64 */
            height: number;
            id: string;
            name: string;
            off?: boolean;
            offSince?: string;
            /** Format: int64 */
            width: number;
        };
        SheetChoice: {
            chosen: boolean;
            id: string;
            name: string;
            text: string;
        };
        SheetPlan: {
            drawing: string;
            /** Format: int64 */
            each: number;
            /** Format: int64 */
            height: number;
            id: string;
            name: string;
            pieces: components["schemas"]["Placed"][];
            /** Format: int64 */
            take: number;
            text: string;
            /** Format: int64 */
            width: number;
        };
        Shop: {
            adhesives: components["schemas"]["Adhesive"][];
            envelopes?: components["schemas"]["OwnedEnvelope"][];
            mats?: components["schemas"]["Mat"][];
            printsOn?: string;
            rates?: components["schemas"]["RateCard"][];
            rulebooks?: components["schemas"]["OwnRulebook"][];
            sheets: components["schemas"]["Sheet"][];
            stocks: components["schemas"]["Stock"][];
            /** Format: int64 */
            tickInches: number;
            /** Format: int64 */
            tickMillimetres: number;
            today?: string;
            tools: components["schemas"]["Tools"];
            /** @enum {string} */
            unit: "in" | "mm";
            usual?: components["schemas"]["Usual"];
        };
        ShopBody: {
            adds: components["schemas"]["Addable"][];
            choices: {
                [key: string]: components["schemas"]["Choice"][];
            };
            fields: {
                [key: string]: components["schemas"]["Input"];
            };
            problems: components["schemas"]["Problem"][];
            renumbers: components["schemas"]["Renumbers"];
            shop: components["schemas"]["Shop"];
            style: string;
            told: string[];
            tools: components["schemas"]["ToolBody"][];
            /** Format: int64 */
            version: number;
        };
        Shown: {
            exact?: string;
            /** Format: int64 */
            nm: number;
            text: string;
        };
        Size: {
            /** Format: int64 */
            height: number;
            /** Format: int64 */
            width: number;
        };
        SizePlan: {
            current: boolean;
            ease: string;
            fits: boolean;
            /** @enum {string} */
            id: "least" | "usual" | "roomy";
            name: string;
            seam: string;
            sheet: string;
        };
        SizeWish: {
            box?: string;
            /** Format: int64 */
            ease: number;
            pocket?: string;
            /** @enum {string} */
            school: "exact" | "diagonal" | "notch";
            /** Format: int64 */
            seam: number;
        };
        Sketch: {
            creases: components["schemas"]["SketchLine"][];
            outline: components["schemas"]["Point"][];
            sheet: components["schemas"]["Point"][];
        };
        SketchLine: {
            from: components["schemas"]["Point"];
            to: components["schemas"]["Point"];
        };
        Slit: {
            from: components["schemas"]["Point"];
            to: components["schemas"]["Point"];
        };
        Span: {
            mark: boolean;
            text: string;
        };
        Spot: {
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        Start: {
            format: string;
            /** Format: int64 */
            height: number;
            /** Format: int64 */
            width: number;
        };
        StartPlan: {
            schools: components["schemas"]["SchoolRow"][];
            sentence: components["schemas"]["Sentence"];
            taken: boolean;
        };
        StateBody: {
            how: string;
            /** Format: int64 */
            version: number;
            what: string[];
            when: string;
        };
        StateOut: {
            how: string;
            job: components["schemas"]["Job"];
            /** Format: int64 */
            version: number;
            what: string[];
            when: string;
        };
        Step: {
            /** Format: double */
            from: number;
            /** Format: double */
            height: number;
            /** Format: double */
            to: number;
        };
        StepPlan: {
            cuts: string[];
            setting: components["schemas"]["Shown"];
        };
        Stock: {
            back?: components["schemas"]["Face"];
            /** Format: int64 */
            caliper: number;
            /** Format: int64 */
            cents?: number;
            front?: components["schemas"]["Face"];
            grain?: string;
            /** Format: double */
            gsm: number;
            /** Format: int64 */
            have?: number;
            id: string;
            name: string;
            off?: boolean;
            offSince?: string;
            pattern?: string;
            sheet?: string;
            surface?: string;
        };
        StockPlan: {
            choices: components["schemas"]["SheetChoice"][];
            /** Format: int64 */
            height: number;
            id: string;
            layouts: components["schemas"]["LayoutPlan"][];
            name: string;
            notes: components["schemas"]["Note"][];
            pieces: components["schemas"]["PieceLine"][];
            proven: boolean;
            /** Format: int64 */
            settings: number;
            sheet: string;
            sheetName: string;
            /** Format: int64 */
            sheets: number;
            steps: components["schemas"]["StepPlan"][];
            text: string;
            unfinished: boolean;
            /** Format: int64 */
            width: number;
        };
        Stretch: {
            near?: string;
            text: string;
            unread?: boolean;
            why?: string;
        };
        Strip: {
            /** Format: double */
            height: number;
            /** Format: double */
            width: number;
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        SurchargeFile: {
            limits: components["schemas"]["LimitFile"][];
            name: string;
        };
        Swatch: {
            border: components["schemas"]["Shown"];
            height: components["schemas"]["Shown"];
            share: string;
            size: string;
            width: components["schemas"]["Shown"];
        };
        TakeReadingRequest: {
            job: components["schemas"]["Job"];
            name?: string;
        };
        TakenBody: {
            going: boolean;
            last: string;
            message: string;
            text: string;
        };
        TemplatePlan: {
            creases: string;
            flat: components["schemas"]["Drawing"];
            inside: string;
            instead: string;
            notes: components["schemas"]["Note"][];
            seam: string;
            sentence: components["schemas"]["Sentence"];
            size: string;
            stretched: components["schemas"]["TemplateStretch"][];
            suits: boolean;
            words: string;
        };
        TemplateStretch: {
            name: string;
            text: string;
            tone: string;
        };
        Thing: {
            /** Format: int64 */
            caliper: number;
            crushable?: boolean;
            disc?: boolean;
            draping?: boolean;
            /** Format: double */
            grams: number;
            /** Format: int64 */
            height: number;
            inside?: boolean;
            keep?: boolean;
            over?: boolean;
            stacked?: boolean;
            type: string;
            /** Format: int64 */
            width: number;
            /** Format: int64 */
            x: number;
            /** Format: int64 */
            y: number;
        };
        TicketLine: {
            id: string;
            label: string;
            /** @enum {string} */
            station: "card" | "layers" | "envelope" | "mail" | "paper" | "bench";
            tone: string;
            value: string;
        };
        ToolBody: {
            calibration?: components["schemas"]["CalibrationBody"];
            fields: FieldPath[];
            id: string;
            name: string;
        };
        Tools: {
            asked?: {
                [key: string]: number;
            };
            bases?: string;
            /** Format: int64 */
            cornerAt: number;
            cornerPlate?: string;
            cutter?: components["schemas"]["Cutter"];
            /** Format: int64 */
            groove?: number;
            /** Format: int64 */
            notchDepth: number;
            notchesOnly?: string;
            owned?: components["schemas"]["Owned"];
            plunges?: string;
            /** Format: int64 */
            punchAt?: number;
            /** Format: int64 */
            punchLargest?: number;
            /** Format: int64 */
            reach?: number;
            /** Format: int64 */
            roundRadius?: number;
            /** Format: int64 */
            ruler?: number;
            /** Format: int64 */
            straightedge?: number;
            /** Format: int64 */
            throat?: number;
            /** Format: int64 */
            trimmerLength: number;
            trimmerScores?: string;
        };
        TroubleBody: {
            text: string;
        };
        Usual: {
            adhesive?: string;
            /** Format: int64 */
            border?: number;
            construction?: string;
            destination?: string;
            envelope?: string;
            fold?: string;
            /** Format: int64 */
            height?: number;
            layerPaper?: string;
            /** Format: int64 */
            layers?: number;
            paper?: string;
            /** Format: int64 */
            width?: number;
        };
        VersionBody: {
            /** Format: int64 */
            version: number;
        };
        Waiting: {
            acts: components["schemas"]["WaitingAct"][];
            door: string;
            sentence: components["schemas"]["Sentence"];
            text: string;
            thing?: components["schemas"]["WaitingThing"];
        };
        WaitingAct: {
            edits: components["schemas"]["Edit"][];
            label: string;
            to?: string;
        };
        WaitingThing: {
            height: components["schemas"]["Shown"];
            /** @enum {string} */
            kind: "envelope" | "sheet";
            width: components["schemas"]["Shown"];
            words: string;
        };
        WayPlan: {
            ease: components["schemas"]["Shown"];
            easeRss: components["schemas"]["Shown"];
            easeWorst: components["schemas"]["Shown"];
            id: string;
            name: string;
            safer: boolean;
            seam: components["schemas"]["Shown"];
            seamRss: components["schemas"]["Shown"];
            seamWorst: components["schemas"]["Shown"];
            settings: components["schemas"]["SettingPlan"][];
            sheet: components["schemas"]["Shown"];
            steps: string[];
            tools: FieldPath[];
            why: string;
        };
        WeightPlan: {
            grams: string;
            name: string;
            share: string;
        };
        When: {
            measure: string;
            over: string;
        };
        WorksheetBody: {
            makings: components["schemas"]["Makings"];
            missing: string[];
            sentence: components["schemas"]["Sentence"];
            steps: components["schemas"]["BenchStep"][];
        };
        WriteWorksheetRequest: {
            job: components["schemas"]["Job"];
        };
    };
    responses: never;
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    listBackups: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BackupsBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    backUp: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BackupBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    lookInBackup: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                name: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InsideBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    restoreJob: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                name: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    restore: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                name: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CameBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    readChart: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ChartPlan"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    printChart: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                format: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description The file */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/pdf": unknown;
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    readCutter: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CutterBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    searchCutting: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SearchCuttingRequest"];
            };
        };
        responses: {
            /** @description A stream; each of its messages is one of these */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/x-ndjson": components["schemas"]["CuttingLine"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    getDamage: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DamageBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    repair: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RepairRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DamageBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    listDevices: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Instrument"][];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    takeReading: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                device: string;
                act: "read" | "tare";
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeReadingRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakenBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    followEverything: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description A stream; each of its messages is one of these */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/event-stream": components["schemas"]["Event"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    writeEverything: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description The file */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/zip": unknown;
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    listFormats: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ListFormatsResponse"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    listJobs: {
        parameters: {
            query?: {
                find?: string;
                sort?: "changed" | "name" | "size" | "mail";
                of?: "in hand" | "archived" | "removed";
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobList"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    addJob: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AddJobRequest"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    readJob: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": string;
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    startJob: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    getJob: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    saveJob: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaveJobRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    setJobArchived: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SetJobArchivedRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    cutMat: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                piece: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CutMatRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CutBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    writeJob: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description The file */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    listHistory: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StateBody"][];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    getState: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                state: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StateOut"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    bringBack: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                state: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BringBackRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    writeList: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                piece: string;
                format: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description The file */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/pdf": unknown;
                    "image/png": unknown;
                    "image/svg+xml": unknown;
                    "image/vnd.dxf": unknown;
                    "text/csv; charset=utf-8": unknown;
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    renameJob: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RenameJobRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    writePiece: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                piece: string;
                format: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description The file */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/pdf": unknown;
                    "image/png": unknown;
                    "image/svg+xml": unknown;
                    "image/vnd.dxf": unknown;
                    "text/csv; charset=utf-8": unknown;
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    printJob: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                print: "job" | "worksheet";
                format: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description The file */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/pdf": unknown;
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    readProgress: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProgressBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    keepProgress: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ProgressBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProgressBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    setJobRemoved: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SetJobRemovedRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    versionOfJob: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["VersionBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    readLine: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReadLineRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Saying"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    beginWithLine: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BeginWithLineRequest"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    readOutline: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReadOutlineRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OutlinePlan"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    makePlan: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MakePlanRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    listRemoved: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Removed"][];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    getRules: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RulePage"][];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    getSample: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SampleBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    setSample: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SetSampleRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SampleBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    getShop: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ShopBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    editShop: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["EditShopRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ShopBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    calibrate: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CalibrateRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FoundBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    readTemplate: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReadTemplateRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TemplatePlan"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    getTrouble: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TroubleBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    writeWorksheet: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["WriteWorksheetRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WorksheetBody"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
    mendStep: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MendStepRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Mended"];
                };
            };
            /** @description Error */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ErrorModel"];
                };
            };
        };
    };
}
