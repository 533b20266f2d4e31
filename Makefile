# make demo   start with the sample shop and jobs       make run   start with your own data
# make test   everything that has to hold               make help  the rest
SHELL := /bin/bash
.DELETE_ON_ERROR:

BIN   := bin/yellowparcel
STAMP := .stamps
UI    := $(shell find ui/src ui/public -type f 2>/dev/null) ui/index.html ui/vite.config.ts ui/tsconfig.json
# Every folder with Go in it, however new: what is not named here would not be built anew.
GODIRS := $(sort $(patsubst ./%/,%,$(filter-out ./ui/ ./docs/ ./bin/,$(dir $(wildcard ./*/*.go ./*/*/*.go)))))
ROOMS  := $(sort $(foreach d,$(GODIRS),$(firstword $(subst /, ,$(d)))))
GO     := $(shell find $(filter-out e2e,$(ROOMS)) \( -name '*.go' -o -name '*.json' -o -name '*.sql' \) -not -name '*_test.go' 2>/dev/null) go.mod go.sum

.PHONY: help demo run build test soak look lint types unit e2e format pictures bench chromium pdftoppm gcc tools rooms clean

help: ## what each target does
	@grep -hE '^[a-z-]+:.*##' $(MAKEFILE_LIST) | sed -E 's/:.*## /\t/' | expand -t 14

demo: $(BIN) ## build and start with the sample shop and jobs, in demo-data
	@$(BIN) --demo --data demo-data

run: $(BIN) ## build and start with your own data
	@$(BIN)

build: $(BIN) ## build bin/yellowparcel with the front end inside

tools:
	@command -v go >/dev/null || { echo "Go 1.26 or newer is missing: install it first."; exit 1; }
	@command -v node >/dev/null && command -v npm >/dev/null || { echo "Node 20 or newer and npm are missing: install them first."; exit 1; }

$(STAMP)/npm: ui/package-lock.json ui/package.json | tools
	cd ui && npm ci --no-progress
	@mkdir -p $(STAMP) && touch $@

$(STAMP)/ui: $(STAMP)/npm $(UI)
	cd ui && npm run --silent build
	@mkdir -p $(STAMP) && touch $@

$(BIN): $(STAMP)/types $(STAMP)/ui $(GO) | tools
	CGO_ENABLED=0 go build -trimpath -o $@ ./cmd/yellowparcel

# Whatever is tested side by side takes both cores, so the parts go one after the other.
test: $(BIN) pdftoppm chromium gcc ## vet, linters, types, build, unit tests, the race detector, end-to-end tests
	@NEED_PDFTOPPM=1 CGO_ENABLED=1 YELLOW_PARCEL=$(abspath $(BIN)) go run ./internal/parts \
		"lint=make -s -j2 lint" "unit=go test -json $(PLAIN)" "race=go test -json -race $(RACED)" \
		"browser=go test -json -count=1 -timeout 25m -parallel 2 ./e2e/..."

# What was found in order is looked at again when a file of it has changed, as go test does.
lint: $(STAMP)/lint-go $(STAMP)/lint-screen $(STAMP)/lint-types

ALLGO := $(shell find $(ROOMS) -name '*.go' 2>/dev/null) go.mod go.sum tools/go.mod
$(STAMP)/lint-go: $(STAMP)/ui $(ALLGO)
	@test -z "$$(gofmt -l $(ROOMS))" || { echo "These files want gofmt:"; gofmt -l $(ROOMS); exit 1; }
	go vet ./...
	go tool -modfile=tools/go.mod staticcheck ./...
	@touch $@

SCREEN := $(shell find ui -path ui/node_modules -prune -o -type f -print 2>/dev/null) docs/phrases.txt
$(STAMP)/lint-screen: $(STAMP)/npm $(SCREEN)
	cd ui && npm run --silent lint
	@touch $@

$(STAMP)/lint-types: $(STAMP)/npm $(SCREEN)
	cd ui && npm run --silent check
	@touch $@

# The front end's types are made from the server's own document; when one of the
# two was changed alone, nothing is built.
$(STAMP)/types: $(STAMP)/npm $(GO) ui/types.js ui/src/api/openapi.json ui/src/api/schema.d.ts
	@mkdir -p $(STAMP)
	@go run ./cmd/yellowparcel openapi > $(STAMP)/openapi.json
	@cd ui && node types.js ../$(STAMP)/openapi.json ../$(STAMP)/schema.d.ts
	@cmp -s $(STAMP)/openapi.json ui/src/api/openapi.json && cmp -s $(STAMP)/schema.d.ts ui/src/api/schema.d.ts || \
		{ echo "The API and the front end's types have drifted apart: run make types and commit the result."; exit 1; }
	@touch $@

types: $(STAMP)/npm ## make the front end's types anew from the server's document
	go run ./cmd/yellowparcel openapi > ui/src/api/openapi.json
	cd ui && npm run --silent types
	GOLDEN=update go test ./core/plan -run TestPathsOfTheScreen

# The race detector watches what runs beside something else; sums done one after another
# would only take ten times as long under it. Each package is tested once.
RACED := ./device/... ./server/... ./store/... ./core/compare ./core/offer
PLAIN = $(filter-out yellowparcel/e2e yellowparcel/core/compare yellowparcel/core/offer,$(shell go list ./cmd/... ./core/... ./demo/... ./docs/... ./format/... ./internal/... 2>/dev/null))

unit: $(BIN) pdftoppm gcc
	YELLOW_PARCEL=$(abspath $(BIN)) NEED_PDFTOPPM=1 go test $(PLAIN)
	CGO_ENABLED=1 go test -race $(RACED)

gcc:
	@command -v gcc >/dev/null || { echo "gcc is missing; the race detector needs it: install gcc (Debian: apt-get install gcc libc6-dev)."; exit 1; }

pdftoppm:
	@if ! command -v pdftoppm >/dev/null; then \
		echo "pdftoppm, which measures prints, is missing; installing Debian's."; \
		{ apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends poppler-utils >/dev/null; } || \
		{ echo "poppler-utils could not be installed: install it by hand."; exit 1; }; \
	fi

# Debian's Chromium without a desktop; where there is none, the whole one.
chromium:
	@if ! command -v chromium-headless-shell >/dev/null && [ -z "$$CHROMIUM" ]; then \
		echo "Chromium without a desktop is missing; installing Debian's."; \
		{ apt-get update -qq && { \
			DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends chromium-headless-shell >/dev/null || \
			DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends chromium >/dev/null; }; } || command -v chromium >/dev/null || \
		{ echo "Chromium could not be installed: install it by hand, or set CHROMIUM to its path."; exit 1; }; \
	fi

e2e: $(BIN) chromium
	YELLOW_PARCEL=$(abspath $(BIN)) go test -count=1 -timeout 40m ./e2e/...

soak: $(BIN) chromium ## what takes longer: tens of thousands of plans, kills, damaged files, full disks, long fuzzing
	SOAK=1 go test -count=1 -timeout 90m ./core/...
	YELLOW_PARCEL=$(abspath $(BIN)) SOAK=10000 go test -count=1 -v -timeout 40m -run 'TestMachines$$' ./e2e
	YELLOW_PARCEL=$(abspath $(BIN)) SOAK=1 go test -count=1 -v -timeout 90m -parallel 2 ./e2e
	SOAK=50000 go test -count=1 -v -timeout 90m -run TestSoakPlans ./core/plan
	SOAK=20000 go test -count=1 -v -timeout 60m -run 'EditsInAnyOrder' ./core/plan ./core/job
	SOAK=600 go test -count=1 -v -timeout 60m -run TestOffersAreKept ./core/plan
	SOAK=3000 go test -count=1 -v -timeout 60m -run 'TestAnyWorksheet|TestSpoiledWorksheets' ./core/worksheet/bench
	YELLOW_PARCEL=$(abspath $(BIN)) SOAK=200 go test -count=1 -v -timeout 60m -run 'TestNothingAcknowledgedIsLost' ./e2e
	SOAK=1 go test -count=1 -v -timeout 60m -run 'TestDamaged' ./store
	YELLOW_PARCEL=$(abspath $(BIN)) SOAK=1 go test -count=1 -v -timeout 60m -run 'TestKilled|TestTwoPrograms|TestTwentyWindows|TestTabsOfOneBrowser' ./cmd/yellowparcel ./e2e
	go test -run '^$$' -fuzz FuzzImportJob -fuzztime 3m ./store
	go test -run '^$$' -fuzz FuzzReadOutline -fuzztime 3m ./format
	go test -run '^$$' -fuzz FuzzSearch -fuzztime 3m ./core/cutting

look: $(BIN) chromium ## every station of every demo job on contact sheets, in look (not committed)
	@mkdir -p look
	YELLOW_PARCEL=$(abspath $(BIN)) LOOK=$(abspath look) go test -count=1 -v -timeout 30m -run TestLook ./e2e

pictures: $(BIN) chromium ## take docs/screenshots anew from the demo data
	YELLOW_PARCEL=$(abspath $(BIN)) PICTURES=$(abspath docs/screenshots) go test -count=1 -run TestPictures ./e2e

bench: $(BIN) chromium ## the figures of docs/performance.md
	go test -run '^$$' -bench . -benchtime 2s -count 5 ./core/plan ./core/blank
	YELLOW_PARCEL=$(abspath $(BIN)) FIGURES=1 go test -count=1 -v -run 'TestFigures|TestFiftyPlanners' ./cmd/yellowparcel ./e2e

format: $(STAMP)/npm ## format all code
	gofmt -w $(ROOMS)
	cd ui && npm run --silent format

rooms:
	@echo $(ROOMS)

clean: ## remove what was built; data stays
	rm -rf bin $(STAMP) ui/node_modules ui/.cache
	find server/dist -mindepth 1 ! -name .gitkeep -delete
