export default formulaRoutes.restore()
