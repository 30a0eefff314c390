export default mouldRoutes.restore()
