export default mouldRoutes.remove()
